import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { lag, problemOf, randomProblem, workStep } from '@/core/testing/week'
import { checkWeek } from './check'
import { planWithoutRuin, planWorkshop } from './planWorkshop'
import { isHeld, NoSchedule, type WorkshopProblem, type WorkshopSchedule } from './problem'

const day = 1440
const at = (k: number, hour: number, minute = 0) => k * day + hour * 60 + minute
const wipe = { max: 40, hard: true, penalty: 10_000 }
const heldTo = (step: number, minute: number) => lag(null, step, minute, { max: minute })

describe('a window that nobody can keep any more', () => {
  // wax is on until 9:05 and comes off from 9:20 to 9:45; what runs beside it takes until 10:00
  const steps = [workStep(0, 5), workStep(0, 20), workStep(1, 55), workStep(2, 30)]
  const problem = problemOf(steps, [lag(0, 1, 15, wipe), heldTo(0, at(0, 9)), heldTo(2, at(0, 9, 5))])

  test('is missed and named, at the price of a ruined coat; all else is planned', () => {
    const week = planWorkshop(problem, { seed: 1, rounds: 300 })
    expect(checkWeek(problem, week).faults).toEqual([])
    expect([week.missed, week.start.slice(0, 3)]).toEqual([[0], [at(0, 9), at(0, 10), at(0, 9, 5)]])
    // three pieces, about until 10:20, 10:00 and 10:50; all of them in time
    expect(week.cost).toBe(10_000 + problem.cost.flow * (at(0, 10, 20) + at(0, 10) + at(0, 10, 50)))
    expect(week.bound).toBeLessThanOrEqual(week.cost)
  })
  test('is told of by its part, where it may not be missed', () => {
    const trouble = (() => {
      try {
        return planWithoutRuin(problem, { seed: 1, rounds: 300 })
      } catch (thrown) {
        return thrown
      }
    })()
    expect(trouble).toBeInstanceOf(NoSchedule)
    expect((trouble as NoSchedule).step).toBe(0)
  })
  test('is the only one: what could be kept is kept, whatever promise that costs', () => {
    // a second one, on until 9:55 and off from 10:10 to 10:35: half an hour of the dear piece's time, which costs three ruined coats
    const more = [...steps.slice(0, 2), workStep(1, 45), workStep(2, 60), workStep(3, 5), workStep(3, 20)]
    const due = [at(13, 17), at(13, 17), at(0, 11), at(13, 17)]
    const two = problemOf(more, [...problem.lags, lag(4, 5, 15, wipe), heldTo(4, at(0, 9, 50))])
    const dear = { ...two, pieces: two.pieces.map((piece, k) => ({ ...piece, due: due[k] ?? 0, weight: k === 2 ? 100 : 1 })) }
    const week = planWorkshop(dear, { seed: 1, rounds: 600 })
    expect(checkWeek(dear, week).faults).toEqual([])
    expect([week.missed, week.start[5], week.start[3]]).toEqual([[0], at(0, 10, 10), at(0, 10, 30)])
  })
  test('between two that are held to their minutes: both stay, and it is said', () => {
    const pinned = problemOf(steps, [lag(0, 1, 15, wipe), heldTo(0, at(0, 9)), heldTo(1, at(0, 11))])
    const week = planWorkshop(pinned, { seed: 1, rounds: 300 })
    expect([week.missed, week.start.slice(0, 2)]).toEqual([[0], [at(0, 9), at(0, 11)]])
  })
  test('over before the first moment anybody works', () => {
    const over = problemOf(steps, [lag(null, 1, 0, { ...wipe, max: at(0, 8) })])
    const week = planWorkshop(over, { seed: 1, rounds: 300 })
    expect(week.missed).toEqual([0])
    expect(week.bound).toBeLessThanOrEqual(week.cost)
  })
})

test('whatever takes longer than was thought: the week may be worked, and no coat is ruined that anybody could save', () =>
  fc.assert(
    fc.property(
      fc.nat(5000),
      fc.integer({ min: 2, max: 5 }),
      fc.integer({ min: 1, max: 40 }),
      fc.integer({ min: 8, max: 16 }),
      (seed, size, slots, hour) => {
        const problem = randomProblem(seed, size)
        const first = planWorkshop(problem, { seed, rounds: 120 })
        const now = at(1, hour)
        const { end } = checkWeek(problem, first)
        const begun = problem.steps.map((_, k) => k).filter((k) => (first.start[k] ?? 0) < now)
        const last = begun.reduce((late, k) => ((end[k] ?? 0) > (end[late] ?? 0) ? k : late), begun[0] ?? 0)
        const then: WorkshopProblem = {
          ...problem,
          steps: problem.steps.map((step, k) => (k === last ? { ...step, split: true, dur: step.dur + slots * 5 } : step)),
          lags: [
            ...problem.lags,
            ...problem.steps.map((_, k) => (begun.includes(k) ? heldTo(k, first.start[k] ?? 0) : lag(null, k, now))),
          ],
        }
        for (const week of [planWorkshop(then, { seed, rounds: 60, from: first }), planWorkshop(then, { seed, rounds: 60 })]) {
          const checked = checkWeek(then, week)
          expect(checked).toMatchObject({ faults: [], cost: week.cost, missed: week.missed })
          const ruined = week.missed.filter((k) => then.lags[k]?.hard)
          expect(ruined.filter((k) => couldBeSaved(then, week, k))).toEqual([])
        }
      },
    ),
    { numRuns: 40 },
  ))

/** Minute by minute: whether what must follow would have had anybody, had nothing been done but what is held to its minute. */
function couldBeSaved(problem: WorkshopProblem, week: WorkshopSchedule, which: number): boolean {
  const { steps, painters, lags, grid, setup } = problem
  const { end } = checkWeek(problem, week)
  const window = lags[which]
  const held = new Set(lags.flatMap((each) => (isHeld(each) ? [each.to] : [])))
  if (!window || window.from === null) return false
  // its coat could have been put down at another time
  if (!held.has(window.from)) return true
  const step = steps[window.to]
  const since = end[window.from] ?? 0
  for (let start = since + window.min; start <= since + (window.max ?? 0); start += grid)
    for (const by of step?.painters ?? []) {
      const until = start + (step?.dur ?? 0)
      const works = painters[by]?.work.some(([from, to]) => from <= start && until <= to) ?? false
      const isFree = [...held].every((k) => {
        if (week.painter[k] !== by) return true
        const other = steps[k]?.product ?? null
        const cleans = step?.product && other && other !== step.product ? setup : 0
        return (end[k] ?? 0) + cleans <= start || until + cleans <= (week.start[k] ?? 0)
      })
      if (works && isFree) return true
    }
  return false
}
