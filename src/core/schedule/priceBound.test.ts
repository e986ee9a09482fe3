import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { bestOrderCost, lag, problemOf, randomProblem, workStep } from '@/core/testing/week'
import { earliestOf, lowerBound } from './bound'
import { planWorkshop } from './planWorkshop'
import { boundByPrices } from './priceBound'
import { PricedWeek } from './priced'
import type { WorkshopProblem } from './problem'
import { startsOf } from './starts'

const at = (day: number, hour: number, minute = 0) => day * 1440 + hour * 60 + minute
const boundOf = (problem: WorkshopProblem, cost: number, rounds = 200) => {
  let asked = 0
  return boundByPrices(problem, earliestOf(problem), { cost, spent: () => (asked += 1) / rounds, until: 1 })
}

test('one drying place for two pieces: it sees that the second waits for a night', () => {
  const problem = problemOf(
    [0, 1].flatMap((piece) => [workStep(piece, 30), workStep(piece, 30)]),
    [lag(0, 1, 300, { rack: true }), lag(2, 3, 300, { rack: true })],
    { pools: { spray: 1, rack: 1 } },
  )
  // dry at half past two, wrapped at three; the second lies down then, and is wrapped at half past nine next day, 16 h 30 min late
  const best = at(0, 15) + at(1, 9, 30) + 990 * 10
  expect(best).toBe(12_810)
  expect(planWorkshop(problem, { seed: 1, rounds: 200 }).cost).toBe(best)
  // as if each had the workshop for itself: both at three
  expect(lowerBound(problem)).toBe(2 * at(0, 15))
  const bound = boundOf(problem, best)
  expect(bound).toBeGreaterThan(12_000)
  expect(bound).toBeLessThanOrEqual(best)
})

test('a window is kept by waiting for the afternoon, or missed for what it costs', () => {
  // half an hour, then another between 2 h 40 and 2 h 55 after it; half an hour of work in the morning, four in the afternoon
  const chain = (penalty: number) =>
    problemOf([workStep(0, 30), workStep(0, 30)], [lag(0, 1, 160, { max: 175, penalty })], {
      painters: [
        {
          id: 'one',
          work: [
            [at(0, 9), at(0, 9, 30)],
            [at(0, 14), at(0, 18)],
          ],
        },
      ],
      horizon: at(1, 0),
    })
  // at two, ready at ten past five, done at twenty to six: forty minutes late
  const kept = at(0, 17, 40) + 400
  expect(boundOf(chain(5000), 9000)).toBe(kept)
  expect(planWorkshop(chain(5000), { seed: 1, rounds: 50 }).cost).toBe(kept)
  // at nine, gone on with at two, the window missed
  expect(boundOf(chain(100), 9000)).toBe(at(0, 14, 30) + 100)
})

describe('no week costs less', () => {
  test('than it shows: every order of pieces of one step each', () =>
    fc.assert(
      fc.property(
        fc.array(fc.record({ dur: fc.integer({ min: 1, max: 40 }), weight: fc.integer({ min: 1, max: 4 }), due: fc.nat(12) }), {
          minLength: 1,
          maxLength: 5,
        }),
        fc.integer({ min: 1, max: 150 }),
        (all, rounds) => {
          const steps = all.map(({ dur }, piece) => workStep(piece, dur * 5, { split: true }))
          const base = problemOf(steps)
          const pieces = base.pieces.map((piece, k) => ({
            ...piece,
            weight: all[k]?.weight ?? 1,
            due: at(0, 9 + (all[k]?.due ?? 0)),
          }))
          const problem = { ...base, pieces }
          const best = bestOrderCost(problem)
          for (const cost of [best, best * 1.5]) expect(boundOf(problem, cost, rounds)).toBeLessThanOrEqual(best + 1e-6)
        },
      ),
      { numRuns: 60 },
    ))
  test('whatever was known before: the bound beside a poor week holds for a good one too', () =>
    fc.assert(
      fc.property(fc.nat(5000), fc.integer({ min: 1, max: 5 }), fc.integer({ min: 1, max: 9 }), (seed, pieces, rack) => {
        const problem = { ...randomProblem(seed, pieces), pools: { spray: 1, rack } }
        const [poor, good] = [1, 400].map((rounds) => planWorkshop(problem, { seed, rounds }))
        const bound = boundOf(problem, poor?.cost ?? 0, 120)
        expect(bound).toBeLessThanOrEqual((good?.cost ?? 0) + 1e-6)
        expect(poor?.bound).toBeLessThanOrEqual(good?.cost ?? 0)
        // what is as cheap as the bound is the best there is
        expect(boundOf(problem, good?.cost ?? 0, 120)).toBeLessThanOrEqual((good?.cost ?? 0) + 1e-6)
      }),
      { numRuns: 20 },
    ))
  test('a piece that is looked at no later than its earliest end may end later all the same', () => {
    // two of an hour each, from nine, for two hands that are one: at ten and at eleven
    const problem = problemOf([workStep(0, 60), workStep(1, 60)])
    const best = at(0, 10) + at(0, 11)
    expect(planWorkshop(problem, { seed: 1, rounds: 50 }).cost).toBe(best)
    const earliest = earliestOf(problem)
    const last = at(0, 17)
    const starts = startsOf(problem, earliest.calendars, last)
    const week = new PricedWeek({ problem, earliest, load: [1, 1], last, starts }).fit([at(0, 10), at(0, 10)])
    expect(week.least()).toBe(2 * at(0, 10))
    // twelve slots at ten each: both would hire them, and one of them is paid back
    week.hires[0]?.price.fill(10, at(0, 9) / 5, at(0, 10) / 5)
    // at 601 at the soonest where it is later, for nothing
    expect(week.least()).toBe(at(0, 10) + 120 + 601 - 120)
    // each would rather end at eleven then, for nothing, and nothing is hired of what is paid back
    expect(week.fit([at(0, 17), at(0, 17)]).least()).toBe(2 * at(0, 11) - 120)
  })
  test('nor three of them, of which two end later', () => {
    const problem = problemOf([workStep(0, 60), workStep(1, 60), workStep(2, 60)])
    const earliest = earliestOf(problem)
    const last = at(0, 17)
    const starts = startsOf(problem, earliest.calendars, last)
    const week = new PricedWeek({ problem, earliest, load: [1, 1, 1], last, starts }).fit([600, 600, 600])
    week.hires[0]?.price.fill(20, at(0, 9) / 5, at(0, 10) / 5)
    // at ten each by the prices: 3 × 840 less 240; the best week is 600 + 660 + 720; one later and the others at ten cost 1,801
    expect(planWorkshop(problem, { seed: 1, rounds: 50 }).cost).toBe(1980)
    expect(week.least()).toBe(1801)
  })
  test('a piece that another waits for may be later when that one is', () => {
    // the other piece waits for the first step of the first one
    const steps = [workStep(0, 60), workStep(0, 60), workStep(1, 60)]
    const problem = problemOf(steps, [lag(0, 1, 0), lag(0, 2, 0)])
    const earliest = earliestOf(problem)
    const last = at(0, 17)
    const starts = startsOf(problem, earliest.calendars, last)
    // the first may end at any time, the other by eleven, or later: the first step need not lie at nine
    const week = new PricedWeek({ problem, earliest, load: [1, 1, 1], last, starts }).fit([last, at(0, 11)])
    week.hires[0]?.price.fill(10, at(0, 9) / 5, at(0, 10) / 5)
    // one hour for nothing after ten: the first at eleven and at twelve, the other at eleven, less what nine to ten would bring in
    expect(week.least()).toBe(at(0, 12) + at(0, 11) - 120)
  })
  test('with no time at all it is no worse than the plain one', () => {
    const problem = randomProblem(7, 4)
    const week = planWorkshop(problem, { seed: 1, rounds: 1 })
    expect(week.bound).toBeGreaterThanOrEqual(lowerBound(problem))
  })
})

test('what a piece does not wait for may be worked long after its end', () => {
  // three hours until it is done, and as much of tidying that nobody waits for
  const base = problemOf([workStep(0, 180), workStep(0, 180)])
  const problem = { ...base, pieces: base.pieces.map((piece) => ({ ...piece, final: 0 })) }
  const best = planWorkshop(problem, { seed: 1, rounds: 50 }).cost
  expect(best).toBe(at(0, 12))
  for (const cost of [best + 60, best * 1.5]) expect(boundOf(problem, cost)).toBeCloseTo(best, 6)
})
