import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { bestOrderCost, hours, lag, problemOf, randomProblem, workStep } from '@/core/testing/week'
import { lowerBound } from './bound'
import { countRows } from './byEveryRow'
import { Calendar, never } from './calendar'
import { checkWeek } from './check'
import { planWorkshop } from './planWorkshop'
import { NoSchedule, type WorkshopProblem, type WorkStep } from './problem'

const at = (day: number, hour: number, minute = 0) => day * 1440 + hour * 60 + minute
const plan = (problem: WorkshopProblem, seed = 1, rounds = 400) => planWorkshop(problem, { seed, rounds })

test('more dries already than there are places: it is planned all the same, and bound by no more than it costs', () => {
  const drying = [lag(null, 0, at(0, 10), { rack: true }), lag(null, 1, at(0, 11), { rack: true })]
  const problem = problemOf([workStep(0, 30), workStep(1, 30)], drying, { pools: { spray: 1, rack: 1 } })
  const { start, cost, bound } = planWorkshop(problem, { seed: 1, rounds: 200 })
  expect([start, cost]).toEqual([[at(0, 10), at(0, 11)], 630 + 690])
  expect(bound).toBeLessThanOrEqual(cost)
})

describe('one person’s hours: nine to half past twelve, half past one to five', () => {
  const calendar = new Calendar({ id: 'one', work: hours(2) }, 5, 2 * 1440)
  test('an hour begun at noon ends at half past two where it may be laid down, and may not be begun where it may not', () => {
    expect(calendar.endOf({ dur: 60, split: true }, at(0, 12))).toBe(at(0, 14))
    expect(calendar.endOf({ dur: 60, split: false }, at(0, 12))).toBe(never)
    expect(calendar.nextStart({ dur: 60, split: false }, at(0, 12))).toBe(at(0, 13, 30))
    expect(calendar.nextStart({ dur: 30, split: false }, at(0, 12))).toBe(at(0, 12))
    expect(calendar.nextStart({ dur: 30, split: false }, at(0, 16, 45))).toBe(at(1, 9))
    expect(calendar.nextStart({ dur: 240, split: false }, 0)).toBe(never)
    expect(calendar.endOf({ dur: 600, split: true }, at(0, 9))).toBe(at(1, 12))
  })
})

describe('a week is checked step by step', () => {
  const two = problemOf(
    [workStep(0, 30, { product: 'pale' }), workStep(1, 30, { product: 'dark' })],
    [lag(null, 1, 0, { max: at(0, 10), penalty: 70 })],
  )
  const check = (...start: number[]) => checkWeek(two, { start, painter: start.map(() => 0) })
  test('at nine and at twenty to ten: 0 late, both ends’ minutes', () =>
    expect(check(at(0, 9), at(0, 9, 40))).toMatchObject({ faults: [], missed: [], cost: at(0, 9, 30) + at(0, 10, 10) }))
  test('one after the other wants ten minutes for the brush', () =>
    expect(check(at(0, 9), at(0, 9, 30)).faults).toEqual(['no time to clean the brush between steps 0 and 1']))
  test('both at once, outside of hours, and a window missed', () => {
    expect(check(at(0, 9), at(0, 9, 15)).faults).toContain('steps 0 and 1 want the same hands')
    expect(check(at(0, 12, 15), at(0, 9)).faults).toEqual([`step 0 (work) can't be worked at ${at(0, 12, 15)} by 0`])
    expect(check(at(0, 9), at(0, 11))).toMatchObject({ missed: [0], cost: at(0, 9, 30) + at(0, 11, 30) + 70 })
  })
  test('places and the booth are counted', () => {
    const steps = [0, 1].flatMap((piece) => [workStep(piece, 10, { spray: true, painters: [0, 1] }), workStep(piece, 10)])
    const drying = [lag(0, 1, 30, { rack: true }), lag(2, 3, 30, { rack: true })]
    const people = [0, 1].map((k) => ({ id: `${k}`, work: hours(2) }))
    const problem = problemOf(steps, drying, { pools: { spray: 1, rack: 1 }, painters: people })
    const start = [at(0, 9), at(0, 9, 40), at(0, 9, 5), at(0, 10)]
    expect(checkWeek(problem, { start, painter: [0, 0, 1, 0] }).faults).toEqual([
      'too many are sprayed at once',
      'too few drying places',
    ])
  })
})

describe('the week', () => {
  test('wax is not put on before lunch that could not come off: at half past one instead', () => {
    const problem = problemOf(
      [workStep(0, 180), workStep(0, 20), workStep(0, 20)],
      [lag(0, 1, 0), lag(1, 2, 15, { max: 30, hard: true, penalty: 10_000 })],
    )
    // noon to twenty past, off from five past half past one at the soonest: too late
    expect(plan(problem)).toMatchObject({ start: [at(0, 9), at(0, 13, 30), at(0, 14, 5)], missed: [] })
  })
  test('a window is kept by beginning later, where that costs nothing; where the first is pinned it is missed, and said', () => {
    // 210 min fit before noon or after: the first ends at lunch, an hour before
    const problem = (pins: typeof soft) => problemOf([workStep(0, 30), workStep(0, 210)], [...soft, ...pins])
    const soft = [lag(0, 1, 0, { max: 60, penalty: 1500 })]
    expect(plan(problem([]))).toMatchObject({ start: [at(0, 12), at(0, 13, 30)], missed: [] })
    expect(plan(problem([lag(null, 0, at(0, 9), { max: at(0, 9) })]))).toMatchObject({
      start: [at(0, 9), at(0, 13, 30)],
      missed: [0],
    })
  })
  test('a window that is open now and would ruin a coat is kept before any promise; one that nobody can keep is missed, and said', () => {
    // eight hours that are late from the first minute at forty a minute; a quarter of an hour that must begin by noon
    const soon = (max: number) => {
      const base = problemOf(
        [workStep(0, 180), workStep(0, 180), workStep(1, 15)],
        [lag(0, 1, 0), lag(null, 2, 0, { max, hard: true, penalty: 10 })],
      )
      return {
        ...base,
        pieces: base.pieces.map((piece, k) => ({ ...piece, due: k === 0 ? 0 : 14 * 1440, weight: k === 0 ? 40 : 1 })),
      }
    }
    const kept = plan(soon(at(0, 9, 10)))
    expect([kept.start[2], kept.missed]).toEqual([at(0, 9), []])
    // begun by eight it can't be: it costs its penalty, no more, and the late piece ends as soon as ever
    const problem = soon(at(0, 8))
    const missed = plan(problem)
    expect([missed.start[1], missed.missed]).toEqual([at(0, 13, 30), [1]])
    expect(missed.cost).toBe(checkWeek(problem, missed).cost)
    expect(missed.bound).toBeLessThanOrEqual(missed.cost)
  })
  test('with nothing ahead there is nothing to plan, and it costs nothing', () =>
    expect(plan(problemOf([]))).toEqual({ start: [], painter: [], cost: 0, bound: 0, missed: [] }))
  test('what is pinned stays, and the others go around it', () => {
    const problem = problemOf([workStep(0, 60), workStep(1, 60)], [lag(null, 1, at(0, 9, 30), { max: at(0, 9, 30), penalty: 1 })])
    expect(plan(problem).start).toEqual([at(0, 10, 30), at(0, 9, 30)])
  })
  test('two parts, one drying place: the second is begun when the first is off it', () => {
    const part = (k: number) => [workStep(0, 30, { part: k }), workStep(0, 30, { part: k })]
    const problem = problemOf(
      [...part(0), ...part(1), workStep(0, 5, { part: 2 })],
      [lag(0, 1, 60, { rack: true }), lag(2, 3, 60, { rack: true }), lag(1, 4, 0), lag(3, 4, 0)],
      { pools: { spray: 1, rack: 1 } },
    )
    expect(checkWeek(problem, plan(problem)).faults).toEqual([])
  })
  test('a step longer than anybody’s day is named, and so is one for whom nobody is there', () => {
    const long = problemOf([workStep(0, 30), workStep(0, 300, { name: 'strip' })])
    expect(() => plan(long)).toThrow(/Step 1 \(strip\) of 300 min fits into nobody's hours/)
    expect(() => plan(problemOf([workStep(0, 30)], [], { painters: [{ id: 'one', work: [] }] }))).toThrow(NoSchedule)
  })

  test('as good as the best of every order, for pieces of one step each', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            dur: fc.integer({ min: 1, max: 30 }),
            weight: fc.integer({ min: 1, max: 4 }),
            due: fc.integer({ min: 9, max: 17 }),
          }),
          {
            minLength: 1,
            maxLength: 6,
          },
        ),
        fc.nat(1000),
        (all, seed) => {
          const steps = all.map(({ dur }, piece): WorkStep => workStep(piece, dur * 5, { split: true }))
          const base = problemOf(steps)
          const problem = {
            ...base,
            pieces: base.pieces.map((piece, k) => ({ ...piece, weight: all[k]?.weight ?? 1, due: at(0, all[k]?.due ?? 9) })),
          }
          expect(plan(problem, seed, 1500).cost).toBe(bestOrderCost(problem))
        },
      ),
      {
        numRuns: 40,
        // once not found in 300 rounds
        examples: [
          [
            [
              { dur: 29, weight: 2, due: 9 },
              { dur: 12, weight: 2, due: 13 },
              { dur: 12, weight: 1, due: 9 },
              { dur: 1, weight: 1, due: 14 },
              { dur: 1, weight: 1, due: 9 },
            ],
            622,
          ],
        ],
      },
    ))

  test('few rows are counted, for all of them are tried: those of chains that keep their order in their part', () => {
    // 5! · 9!/(3!)³ · one row alone · 12!/(4!)³ is more than is counted
    expect([[1, 1, 1, 1, 1], [3, 3, 3], [7], []].map(countRows)).toEqual([120, 1680, 1, 1])
    expect(countRows([4, 4, 4])).toBeGreaterThan(2000)
  })
  test('whatever the workshop, its week may be worked, no coat is ruined, it costs what it says and not less than the bound', () =>
    fc.assert(
      fc.property(fc.nat(10_000), fc.integer({ min: 1, max: 5 }), (seed, pieces) => {
        const problem = randomProblem(seed, pieces)
        const found: number[] = []
        const week = planWorkshop(problem, { seed, rounds: 120, onBetter: (_, cost) => found.push(cost) })
        const checked = checkWeek(problem, week)
        expect(checked.faults).toEqual([])
        expect([checked.cost, checked.missed]).toEqual([week.cost, week.missed])
        expect(week.missed.some((k) => problem.lags[k]?.hard)).toBe(false)
        expect(week.bound).toBeLessThanOrEqual(week.cost)
        expect(week.bound).toBeGreaterThanOrEqual(lowerBound(problem))
        // each better than the one before, the last the one that is given
        expect(found).toEqual([...new Set(found)].sort((a, b) => b - a))
        expect(found.at(-1)).toBe(week.cost)
      }),
      { numRuns: 20 },
    ))
  test('the same seed and rounds give the same week', () => {
    const problem = randomProblem(7, 4)
    expect(plan(problem, 3, 300)).toEqual(plan(problem, 3, 300))
  })
  test('an end is found where the time was over before chains were sought, and what can’t be bettered comes up after it', () => {
    const problem = { ...randomProblem(1128, 2), pools: { spray: 1, rack: 8 } }
    const { cost, bound } = planWorkshop(problem, { seed: 1128, rounds: 1 })
    expect(cost).toBe(bound)
  })
  test('gone on from, it is never worse, and what may stay stays', () => {
    const problem = randomProblem(11, 4)
    const first = plan(problem, 1, 300)
    const again = planWorkshop(problem, { seed: 2, rounds: 60, from: first })
    expect(again.cost).toBeLessThanOrEqual(first.cost)
    const still = planWorkshop(problem, { seed: 2, rounds: 1, from: first })
    expect(still.start).toEqual(first.start)
  })
})
