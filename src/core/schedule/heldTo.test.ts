import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { hours, lag, problemOf, randomProblem, workStep } from '@/core/testing/week'
import { checkWeek } from './check'
import { planWorkshop } from './planWorkshop'
import type { WorkshopProblem, WorkshopSchedule } from './problem'

const day = 1440
const at = (k: number, hour: number, minute = 0) => k * day + hour * 60 + minute

/** What was begun before a minute is held to when it began, the rest begins no sooner. */
const heldFrom = (problem: WorkshopProblem, { start }: WorkshopSchedule, now: number): WorkshopProblem => ({
  ...problem,
  lags: [
    ...problem.lags,
    ...problem.steps.map((_, to) => {
      const began = start[to] ?? now
      return began < now ? lag(null, to, began, { max: began }) : lag(null, to, now)
    }),
  ],
})

describe('a week in force, of which something is done, in a room that is full', () => {
  // two pieces of three coats, half an hour each and half an hour dry between: each is put down as the other is taken up from the only place;
  // a third is begun when both are over, and dries for a night
  const coats = (piece: number) => [workStep(piece, 30), workStep(piece, 30), workStep(piece, 30)]
  const dries = (from: number) => lag(from, from + 1, 30, { rack: true })
  const problem = problemOf(
    [...coats(0), ...coats(1), workStep(2, 30), workStep(2, 30)],
    [...[0, 1, 3, 4].map(dries), lag(6, 7, 600, { rack: true })],
    { pools: { spray: 1, rack: 1 } },
  )
  const from: WorkshopSchedule = {
    start: [...[at(0, 9), at(0, 10), at(0, 11)], ...[at(0, 9, 30), at(0, 10, 30), at(0, 11, 30)], at(0, 13, 30), at(1, 9)],
    painter: [0, 0, 0, 0, 0, 0, 0, 0],
  }
  test('may be worked as it stands', () => {
    expect(checkWeek(problem, from)).toMatchObject({ faults: [], missed: [] })
  })
  test('is gone on with where only the lunch has moved', () => {
    // an hour sooner: the last coat of the second is after it
    const work = hours(14).flatMap(([since, to]): [number, number][] =>
      since === at(0, 9)
        ? [
            [since, at(0, 11, 30)],
            [at(0, 12), at(0, 12, 30)],
          ]
        : [[since, to]],
    )
    const now = heldFrom({ ...problem, painters: [{ id: 'one', work }] }, from, at(0, 10, 45))
    const found: WorkshopSchedule[] = []
    planWorkshop(now, { seed: 1, rounds: 1, from, onBetter: (week) => found.push(week) })
    const stays = from.start.map((minute, step) => (step === 5 ? at(0, 12) : minute))
    expect(found[0] && [checkWeek(now, found[0]).faults, found[0].start]).toEqual([[], stays])
  })
  test('whatever was begun by any minute: there is a week, what was begun stays, and it may be worked', () =>
    fc.assert(
      fc.property(
        fc.nat(10_000),
        fc.integer({ min: 2, max: 5 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (seed, pieces, share) => {
          const free = { ...randomProblem(seed, pieces), pools: { spray: 1, rack: 2 } }
          const week = planWorkshop(free, { seed, rounds: 300 })
          const { faults, end } = checkWeek(free, week)
          expect(faults).toEqual([])
          const now = Math.floor((share * Math.max(...end)) / free.grid) * free.grid
          const held = heldFrom(free, week, now)
          // one that is ahead takes longer
          const ahead = free.steps.findIndex((_, k) => (week.start[k] ?? 0) >= now)
          const longer = { ...held, steps: held.steps.map((step, k) => (k === ahead ? { ...step, dur: step.dur + 30 } : step)) }
          const again = planWorkshop(longer, { seed, rounds: 20, from: week })
          expect(checkWeek(longer, again)).toMatchObject({ faults: [], cost: again.cost })
          free.steps.forEach((_, k) => {
            if ((week.start[k] ?? 0) < now) expect(again.start[k]).toBe(week.start[k])
          })
        },
      ),
      { numRuns: 20 },
    ))
})
