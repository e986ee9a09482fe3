import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { hours, lag, problemOf, randomProblem, workStep } from '@/core/testing/week'
import { checkWeek } from './check'
import { planWorkshop } from './planWorkshop'
import type { WorkshopProblem } from './problem'

const at = (day: number, hour: number, minute = 0) => day * 1440 + hour * 60 + minute
const people = ['one', 'two'].map((id) => ({ id, work: hours(14) }))
const pinned = (to: number, minute: number) => lag(null, to, minute, { max: minute })
const plan = (problem: WorkshopProblem, from?: { start: number[]; painter: number[] }) =>
  planWorkshop(problem, { seed: 1, rounds: 60, from })

describe('steps held to a minute', () => {
  const two = (over: Partial<WorkshopProblem> = {}) =>
    problemOf(
      [workStep(0, 60, { painters: [0, 1] }), workStep(1, 60, { painters: [0] })],
      [pinned(0, at(0, 9)), pinned(1, at(0, 9, 30))],
      { painters: people, ...over },
    )
  test('whoever could have both leaves one to the only hands that can have the other', () => {
    const week = plan(two())
    expect(week.start).toEqual([at(0, 9), at(0, 9, 30)])
    expect(week.painter).toEqual([1, 0])
  })
  test('they keep the hands they had', () => {
    const all = problemOf([workStep(0, 60, { painters: [0, 1] }), workStep(1, 60, { painters: [0, 1] })], [pinned(0, at(0, 9))], {
      painters: people,
    })
    for (const painter of [0, 1])
      expect(plan(all, { start: [at(0, 9), at(0, 10)], painter: [painter, 0] }).painter[0]).toBe(painter)
  })
  test('where there are hands for one of them only, it says which', () =>
    expect(() => plan(two({ painters: people.map((each, k) => (k === 0 ? each : { ...each, work: [] })) }))).toThrow(
      `Step 1 (work) is pinned to ${at(0, 9, 30)}, where nobody can work it.`,
    ))
  test('between two stays of one part another dries in the only place', () => {
    const [a1, a2, a3, b1, b2] = [0, 1, 2, 3, 4]
    const step = (piece: number, dur: number) => workStep(piece, dur, { painters: [0, 1] })
    const rack = { rack: true }
    const problem = problemOf(
      [step(0, 30), step(0, 30), step(0, 30), step(1, 35), step(1, 10)],
      [
        lag(a1, a2, 60, rack),
        lag(a2, a3, 60, rack),
        lag(b1, b2, 10, { ...rack, max: 20, hard: true, penalty: 10_000 }),
        ...[pinned(a1, at(0, 9)), pinned(a2, at(0, 10, 30)), pinned(b1, at(0, 9, 55))],
      ],
      { painters: people, pools: { spray: 1, rack: 1 } },
    )
    const week = plan(problem)
    expect(checkWeek(problem, week).faults).toEqual([])
    // b dries from 10:30, when a is taken up, for ten minutes; a's next stay begins at eleven
    expect(week.start).toEqual([at(0, 9), at(0, 10, 30), at(0, 12), at(0, 9, 55), at(0, 10, 40)])
  })
  test('whatever of a week is held to where it was, by two people: it is planned again, and all of that stays', () =>
    fc.assert(
      fc.property(fc.nat(5000), fc.integer({ min: 0, max: 5 * 1440 }), (seed, now) => {
        const problem = randomProblem(seed, 4)
        const week = planWorkshop(problem, { seed, rounds: 60 })
        const begun = problem.steps.flatMap((_, step) => ((week.start[step] ?? 0) < now ? [step] : []))
        const held = { ...problem, lags: [...problem.lags, ...begun.map((step) => pinned(step, week.start[step] ?? 0))] }
        // without a word of who had them
        const again = planWorkshop(held, { seed, rounds: 60 })
        expect(checkWeek(held, again)).toMatchObject({ faults: [], cost: again.cost })
        for (const step of begun) expect(again.start[step]).toBe(week.start[step])
      }),
      // what takes its place as another is given back, and holds it from then on alone
      { numRuns: 40, examples: [[3742, 2406]] },
    ))
})
