import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { hours, lag, problemOf, randomProblem, workStep } from '@/core/testing/week'
import { earliestOf } from './bound'
import { checkWeek } from './check'
import { planWorkshop } from './planWorkshop'
import type { WorkshopProblem, WorkshopSchedule } from './problem'
import { Search } from './search'
import { ChainSequence } from './sequence'
import { Timing } from './timing'

const day = 1440
const at = (k: number, hour: number, minute = 0) => k * day + hour * 60 + minute
const plan = (problem: WorkshopProblem, seed = 1, rounds = 200) => planWorkshop(problem, { seed, rounds })
/** What the week that is gone on from is repaired to, before anything is searched. */
function repaired(problem: WorkshopProblem, from: WorkshopSchedule): WorkshopSchedule {
  const found: WorkshopSchedule[] = []
  planWorkshop(problem, { seed: 1, rounds: 1, from, onBetter: (schedule) => found.push(schedule) })
  return found.at(-1) ?? from
}

describe('going on from a week in force', () => {
  const three = [workStep(0, 60), workStep(1, 60), workStep(2, 60)]
  test('a step that takes longer pushes what lies behind it, and no more', () => {
    const from = { start: [at(0, 9), at(0, 10), at(0, 11)], painter: [0, 0, 0] }
    const longer = problemOf([workStep(0, 90), ...three.slice(1)])
    const week = repaired(longer, from)
    expect(checkWeek(longer, week).faults).toEqual([])
    expect(week.start[0]).toBe(at(0, 9))
    expect([...week.start].sort((a, b) => a - b)).toEqual([at(0, 9), at(0, 10, 30), at(0, 11, 30)])
  })
  test('somebody is gone for the afternoon: the morning stays', () => {
    const from = { start: [at(0, 9), at(0, 10), at(0, 14)], painter: [0, 0, 0] }
    const gone = problemOf(three, [], { painters: [{ id: 'one', work: hours(14).filter(([since]) => since !== at(0, 13, 30)) }] })
    expect(repaired(gone, from).start).toEqual([at(0, 9), at(0, 10), at(0, 11)])
  })
  test('what somebody else is given goes over to them; the rest stays', () => {
    const people = ['one', 'two'].map((id) => ({ id, work: hours(14) }))
    const from = { start: [at(0, 9), at(0, 10), at(0, 11)], painter: [0, 0, 0] }
    const given = three.map((step, k) => ({ ...step, painters: k === 1 ? [1] : [0] }))
    const problem = problemOf(given, [], { painters: people })
    for (const week of [repaired(problem, from), planWorkshop(problem, { seed: 1, rounds: 400, from })]) {
      expect(checkWeek(problem, week).faults).toEqual([])
      expect([week.start[0], week.painter]).toEqual([at(0, 9), [0, 1, 0]])
    }
  })
  test('what stays never stays past a window that would ruin it', () => {
    const from = { start: [at(0, 9), at(0, 10), at(0, 14)], painter: [0, 0, 0] }
    // it dries faster than was thought: begun by eleven, or ruined
    const closes = problemOf(three, [lag(null, 2, 0, { max: at(0, 11), hard: true, penalty: 10_000 })])
    const week = planWorkshop(closes, { seed: 1, rounds: 400, from })
    expect(week.missed).toEqual([])
    expect(week.start[2]).toBeLessThanOrEqual(at(0, 11))
  })
  test('a window that nobody can keep any more is missed and said; the rest stays', () => {
    const from = { start: [at(0, 9), at(0, 10), at(0, 11)], painter: [0, 0, 0] }
    const over = problemOf(three, [lag(null, 2, 0, { max: at(0, 8), hard: true, penalty: 10_000 })])
    const week = planWorkshop(over, { seed: 1, rounds: 200, from })
    expect([week.start, week.missed]).toEqual([from.start, [0]])
    expect(week.cost).toBe(checkWeek(over, week).cost)
  })
  test('what is new finds its place among what stays', () => {
    const from = { start: [at(0, 9), at(0, 10)], painter: [0, 0] }
    // not told of at all, or told to have had no time
    for (const was of [from, { start: [...from.start, -1], painter: [...from.painter, -1] }]) {
      const { start } = repaired(problemOf(three), was)
      expect(start.slice(0, 2)).toEqual(from.start)
      expect(start[2]).toBe(at(0, 11))
    }
  })
  test('whatever happened: it may be worked; where nothing did everything stays, or costs less', () =>
    fc.assert(
      fc.property(fc.nat(5000), fc.nat(200), (seed, which) => {
        const problem = randomProblem(seed, 3)
        const first = plan(problem, seed, 60)
        const same = repaired(problem, first)
        if (checkWeek(problem, same).cost >= first.cost) expect(same).toEqual({ start: first.start, painter: first.painter })
        const k = which % problem.steps.length
        const longer = { ...problem, steps: problem.steps.map((step, n) => (n === k ? { ...step, dur: step.dur + 30 } : step)) }
        const again = planWorkshop(longer, { seed, rounds: 30, from: first })
        expect(checkWeek(longer, again)).toMatchObject({ faults: [], cost: again.cost, missed: again.missed })
        // everything is the other's now
        const [one] = problem.painters.map((_, by) => by).reverse()
        const others = { ...problem, steps: problem.steps.map((step) => ({ ...step, painters: [one ?? 0] })) }
        const theirs = planWorkshop(others, { seed, rounds: 60, from: first })
        expect(checkWeek(others, theirs)).toMatchObject({ faults: [], cost: theirs.cost, missed: theirs.missed })
      }),
      { numRuns: 25 },
    ))
})

describe('chains in a row', () => {
  test('any row can be laid: what finds no drying place waits for one', () =>
    fc.assert(
      fc.property(fc.nat(5000), fc.integer({ min: 1, max: 3 }), fc.infiniteStream(fc.nat(1000)), (seed, rack, chance) => {
        const problem = { ...randomProblem(seed, 3), pools: { spray: 1, rack } }
        const search = new Search(problem, { seed, rounds: 1 })
        const draws = chance[Symbol.iterator]()
        const row = search.coarse.units
          .flatMap(({ chains }, unit) => chains.map(() => ({ unit, by: Number(draws.next().value) })))
          .sort((a, b) => a.by - b.by)
          .map(({ unit }) => unit)
        const sequence = new ChainSequence(search.coarse.layout)
        const cost = sequence.costOf(row)
        expect(cost).toBeLessThan(Infinity)
        const week = search.coarse.layout.schedule()
        expect(checkWeek(problem, week)).toMatchObject({ faults: [], cost })
        // another row and back again: what was taken up is as it was
        sequence.costOf([...row].reverse())
        expect([sequence.costOf(row), search.coarse.layout.schedule()]).toEqual([cost, week])
      }),
      { numRuns: 40 },
    ))
})

describe('times of rows', () => {
  const timingOf = (problem: WorkshopProblem) => {
    const { calendars, end } = earliestOf(problem)
    return new Timing(problem, calendars, end)
  }
  test('what must follow soon pushes what it follows, across lunch', () => {
    // the wax would be on at noon and the cloth free only at half past one
    const problem = problemOf(
      [workStep(0, 180), workStep(0, 20), workStep(0, 20)],
      [lag(0, 1, 0), lag(1, 2, 15, { max: 30, hard: true, penalty: 10_000 })],
    )
    const timing = timingOf(problem)
    timing.time({ order: [0, 1, 2], by: new Int32Array(3), given: new Uint8Array(2) })
    expect([...timing.start]).toEqual([at(0, 9), at(0, 13, 30), at(0, 14, 5)])
    // left to itself it is missed, and said
    timing.time({ order: [0, 1, 2], by: new Int32Array(3), given: new Uint8Array([0, 1]) })
    expect([[...timing.start], timing.isMissed(1)]).toEqual([[at(0, 9), at(0, 12), at(0, 13, 30)], true])
  })
  test('the rows of a good week, timed anew, can be worked, and cost no more where there is room to dry', () =>
    fc.assert(
      fc.property(fc.nat(5000), (seed) => {
        const problem = { ...randomProblem(seed, 3), pools: { spray: 1, rack: 99 } }
        const week = plan(problem, seed, 60)
        const timing = timingOf(problem)
        const order = problem.steps.map((_, k) => k).sort((a, b) => (week.start[a] ?? 0) - (week.start[b] ?? 0))
        const given = new Uint8Array(problem.lags.length)
        for (const k of week.missed) given[k] = 1
        const cost = timing.time({ order, by: Int32Array.from(week.painter), given })
        expect(cost).toBeLessThanOrEqual(week.cost)
        const timed = { start: [...timing.start], painter: week.painter }
        expect(checkWeek(problem, timed)).toMatchObject({ faults: [], cost })
        // with few places something waits for one, or the row can't be
        const narrow = { ...problem, pools: { spray: 1, rack: 2 } }
        const tight = timingOf(narrow)
        if (tight.time({ order, by: Int32Array.from(week.painter), given }) === Infinity) return
        expect(checkWeek(narrow, { start: [...tight.start], painter: week.painter }).faults).toEqual([])
      }),
      { numRuns: 30 },
    ))
})
