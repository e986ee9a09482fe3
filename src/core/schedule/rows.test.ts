import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { randomFrom } from '@/core/measure/random'
import { lag, problemOf, randomProblem, rowOf, workStep } from '@/core/testing/week'
import { earliestOf } from './bound'
import { checkWeek } from './check'
import { EndBound } from './endBound'
import { planWorkshop } from './planWorkshop'
import type { WorkshopProblem } from './problem'
import { RowMoves } from './rowMoves'
import { Search } from './search'
import { ChainSequence } from './sequence'
import { WhyLate } from './whyLate'

const day = 1440
const at = (k: number, hour: number, minute = 0) => k * day + hour * 60 + minute

describe('when a piece ends at the soonest', () => {
  const boundOf = (problem: WorkshopProblem) => new EndBound(problem, earliestOf(problem).calendars)
  test('what waits goes over the lunch, the night', () => {
    // twenty minutes, two hours to dry, an hour, dry for a night, half an hour
    const problem = problemOf([workStep(0, 20), workStep(0, 60), workStep(0, 30)], [lag(0, 1, 120), lag(1, 2, 720)])
    const bound = boundOf(problem)
    // ready at half past one, done at half past two, dry at half past two at night
    expect(bound.after(0, at(0, 11, 30))).toBe(at(1, 9, 30))
    // ready at a quarter past twelve: an hour fits only after lunch
    expect(bound.after(0, at(0, 10, 15))).toBe(at(1, 9, 30))
    expect(bound.after(1, at(0, 10))).toBe(at(1, 9, 30))
    expect(bound.after(2, at(0, 10))).toBe(at(0, 10))
  })
  test('no planned piece ends sooner than any of its steps allows', () =>
    fc.assert(
      fc.property(fc.nat(5000), (seed) => {
        const problem = randomProblem(seed, 4)
        const { end } = checkWeek(problem, planWorkshop(problem, { seed, rounds: 20 }))
        const bound = boundOf(problem)
        problem.steps.forEach(({ piece }, step) =>
          expect(bound.after(step, end[step] ?? 0)).toBeLessThanOrEqual(end[problem.pieces[piece]?.final ?? 0] ?? 0),
        )
      }),
      { numRuns: 30 },
    ))
})

describe('a row beside one that is known', () => {
  test('it costs what it costs by itself, wherever the rest was not laid anew', () =>
    fc.assert(
      fc.property(fc.nat(5000), fc.integer({ min: 2, max: 9 }), (seed, rack) => {
        const problem = { ...randomProblem(seed, 4), pools: { spray: 1, rack } }
        const search = new Search(problem, { seed, rounds: 1 })
        const [sequence, alone] = [search, new Search(problem, { seed, rounds: 1 })].map(
          ({ coarse }) => new ChainSequence(coarse.layout),
        )
        if (!sequence || !alone) return
        const random = randomFrom(seed)
        const why = new WhyLate(problem, search.coarse.units, search.earliest, random)
        const moves = new RowMoves(search.coarse, why, random)
        let row = rowOf(search.coarse, random)
        let cost = sequence.costOf(row)
        why.note(row, search.coarse.layout)
        let spared = 0
        for (let k = 0; k < 60; k += 1) {
          const next = moves.next(row)
          expect([...next].sort()).toEqual([...row].sort())
          const found = sequence.costOf(next, Infinity, { row, start: why.start, by: why.by, cost })
          expect(alone.costOf(next)).toBe(found)
          if (sequence.isKnown) spared += 1
          else {
            ;[row, cost] = [next, found]
            why.note(row, search.coarse.layout)
          }
        }
        expect(spared).toBeGreaterThan(0)
      }),
      { numRuns: 20 },
    ))
})

describe('any row', () => {
  test('what is laid of it may be worked, and is taken up again to nothing: few places, some of them taken by what dries now', () =>
    fc.assert(
      fc.property(fc.nat(5000), fc.integer({ min: 1, max: 5 }), fc.integer({ min: 0, max: 3 }), (seed, rack, dries) => {
        const base = randomProblem(seed, 4)
        // coats that were laid before, and dry for a day and more
        const firsts = base.steps.flatMap(({ name, part }, k) => (name === 'work' && part === 0 && k % 7 === 0 ? [k] : []))
        const lags = [...base.lags, ...firsts.slice(0, dries).map((to) => lag(null, to, 1500, { rack: true }))]
        const problem = { ...base, lags, pools: { spray: 1, rack: Math.max(rack, dries) } }
        const search = new Search(problem, { seed, rounds: 1 })
        const random = randomFrom(seed + 1)
        for (const grain of [search.coarse, search.fine]) {
          const sequence = new ChainSequence(grain.layout)
          const least = grain.layout.cost
          let laid = 0
          for (let k = 0; k < 12; k += 1) {
            const cost = sequence.costOf(rowOf(grain, random))
            if (cost === Infinity) continue
            laid += 1
            const checked = checkWeek(problem, grain.layout.schedule())
            expect(checked.faults).toEqual([])
            expect(checked.cost).toBe(cost)
            expect(checked.missed.some((each) => problem.lags[each]?.hard)).toBe(false)
          }
          sequence.clear()
          expect(grain.layout.cost).toBeCloseTo(least, 6)
          expect(grain.layout.schedule().start.every((start) => start === -1)).toBe(true)
          if (dries === 0) expect(laid).toBeGreaterThan(0)
        }
      }),
      { numRuns: 40 },
    ))
})

describe('a row as if there were drying places enough', () => {
  test('tells for how many minutes one is wanting: counted minute by minute it is as much, and what wants none may be worked', () =>
    fc.assert(
      fc.property(fc.nat(5000), fc.integer({ min: 1, max: 4 }), (seed, rack) => {
        const problem = { ...randomProblem(seed, 3), pools: { spray: 1, rack } }
        const search = new Search(problem, { seed, rounds: 1 })
        const random = randomFrom(seed + 1)
        for (const grain of search.grains.filter(
          ({ layout }) => layout !== search.coarse.layout && layout !== search.fine.layout,
        )) {
          const sequence = new ChainSequence(grain.layout)
          for (let k = 0; k < 5; k += 1) {
            const cost = sequence.costOf(rowOf(grain, random))
            if (cost === Infinity) continue
            const week = grain.layout.schedule()
            const { end } = checkWeek(problem, week)
            const held = new Int32Array(problem.horizon / problem.grid + 1)
            for (const { from, to, rack: holds } of problem.lags) {
              if (!holds) continue
              for (let at = from === null ? 0 : (end[from] ?? 0); at < (week.start[to] ?? 0); at += problem.grid) {
                const slot = at / problem.grid
                held[slot] = (held[slot] ?? 0) + 1
              }
            }
            const wanting = held.reduce((sum, many) => sum + Math.max(0, many - rack), 0) * problem.grid
            expect(grain.layout.overfull).toBe(wanting)
            expect(checkWeek(problem, week).faults.length > 0).toBe(wanting > 0)
          }
          sequence.clear()
          expect(grain.layout.overfull).toBe(0)
        }
      }),
      { numRuns: 40 },
    ))
  test('is no other where no place can be wanting', () => {
    const problem = problemOf([workStep(0, 180), workStep(1, 120)])
    expect(new Search(problem, { seed: 1, rounds: 1 }).grains).toHaveLength(2)
  })
})

test('what holds a piece back is named: the one whose hands it waits for', () => {
  // both are due at five on the first day; the long one is laid first, the other waits for its end
  const problem = problemOf([workStep(0, 180), workStep(1, 120)])
  const search = new Search(problem, { seed: 1, rounds: 1 })
  const sequence = new ChainSequence(search.coarse.layout)
  const row = [0, 1]
  sequence.costOf(row)
  const why = new WhyLate(problem, search.coarse.units, search.earliest, randomFrom(7))
  why.note(row, search.coarse.layout)
  // only the second ends later than it could alone
  expect(why.pickPiece()).toBe(1)
  expect(why.pick()).toEqual({ late: 1, early: 0 })
})
