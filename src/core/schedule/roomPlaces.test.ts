import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { hours, lag, problemOf, randomProblem, workStep } from '@/core/testing/week'
import { earliestOf } from './bound'
import { checkWeek } from './check'
import { planWorkshop } from './planWorkshop'
import type { WorkshopProblem } from './problem'
import { Timing } from './timing'

const at = (hour: number, minute = 0) => hour * 60 + minute

describe('places of single rooms', () => {
  // two pieces of two coats, half an hour each and two hours dry between
  const twoCoats = (rooms: readonly [number | undefined, number | undefined]): WorkshopProblem =>
    problemOf(
      [0, 0, 1, 1].map((piece) => workStep(piece, 30)),
      [0, 2].map((from, piece) => {
        const room = rooms[piece]
        return lag(from, from + 1, 120, { rack: true, ...(room !== undefined && { room }) })
      }),
      { pools: { spray: 1, rack: 9, rooms: [1, 1] }, painters: [{ id: 'one', work: [[at(9), at(17)], ...hours(14).slice(2)] }] },
    )
  const startsOf = (problem: WorkshopProblem) => {
    const { start, painter } = planWorkshop(problem, { seed: 1, rounds: 400 })
    expect(checkWeek(problem, { start, painter }).faults).toEqual([])
    return [...start].sort((one, other) => one - other)
  }

  test('in two rooms of one place, both dry at once', () => {
    expect(startsOf(twoCoats([0, 1]))).toEqual([at(9), at(9, 30), at(11, 30), at(12)])
  })
  test('in one of them, the second is put down as the first is taken up', () => {
    expect(startsOf(twoCoats([0, 0]))).toEqual([at(9), at(11), at(11, 30), at(13, 30)])
  })
  test('in rooms that have no number of their own, the house’s counts alone', () => {
    expect(startsOf(twoCoats([undefined, undefined]))).toEqual([at(9), at(9, 30), at(11, 30), at(12)])
  })
  test('a week by which both lie in the one place is told wrong', () => {
    const week = { start: [at(9), at(11, 30), at(9, 30), at(12)], painter: [0, 0, 0, 0] }
    expect(checkWeek(twoCoats([1, 1]), week).faults).toEqual(['too few drying places in room 1'])
  })
  test('worked by chance in the same rows, the second waits for the place', () => {
    const problem = twoCoats([0, 0])
    const { calendars } = earliestOf(problem)
    const timing = new Timing(
      problem,
      calendars,
      problem.steps.map(() => 0),
    )
    const rows = { order: [0, 2, 1, 3], by: new Int32Array(4), given: new Uint8Array(2).fill(1) }
    // its first coat ends as the first piece is taken up
    timing.time(rows)
    expect([...timing.start]).toEqual([at(9), at(11, 30), at(11), at(13, 30)])
    const roomy = { ...problem, pools: { spray: 1, rack: 9 } }
    const free = new Timing(roomy, calendars, [0, 0, 0, 0])
    free.time(rows)
    expect([...free.start]).toEqual([at(9), at(11, 30), at(9, 30), at(12)])
  })
})

test('any workshop of two rooms: no more dries in either than has a place, from nothing and gone on from', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 500 }), fc.integer({ min: 1, max: 3 }), (seed, places) => {
      const whole = randomProblem(seed, 4)
      const lags = whole.lags.map((each) => ({ ...each, room: (whole.steps[each.to]?.piece ?? 0) % 2 }))
      const problem = { ...whole, lags, pools: { spray: 1, rack: 4, rooms: [places, 2] } }
      const first = planWorkshop(problem, { seed, rounds: 150 })
      expect(checkWeek(problem, first).faults).toEqual([])
      expect(first.bound).toBeLessThanOrEqual(first.cost)
      const fewer = { ...problem, pools: { spray: 1, rack: 4, rooms: [1, 2] } }
      expect(checkWeek(fewer, planWorkshop(fewer, { seed, rounds: 150, from: first })).faults).toEqual([])
      return true
    }),
    { numRuns: 30 },
  )
})
