import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { randomFrom } from '@/core/measure/random'
import { randomProblem, rowOf } from '@/core/testing/week'
import { Memory } from './memory'
import { RowMoves } from './rowMoves'
import { Search } from './search'
import { ChainSequence } from './sequence'
import { WhyLate } from './whyLate'

describe('a row that is kept', () => {
  test('whatever is brought back of it, given up or taken in its place: the next costs what it costs where nothing is, and lies as it does there', () => {
    fc.assert(
      fc.property(fc.nat(5000), fc.integer({ min: 1, max: 6 }), fc.nat(3), (seed, rack, nth) => {
        const problem = { ...randomProblem(seed, 6), pools: { spray: 1, rack } }
        const [one, other] = [new Search(problem, { seed, rounds: 1 }), new Search(problem, { seed, rounds: 1 })]
        const grain = one.grains[nth % one.grains.length]
        const bare = other.grains[nth % other.grains.length]
        if (!grain || !bare) return
        const sequence = new ChainSequence(grain.layout, { keeps: true })
        const alone = new ChainSequence(bare.layout)
        const empty = grain.layout.cost
        const random = randomFrom(seed)
        const why = new WhyLate(problem, grain.units, one.earliest, random)
        const moves = new RowMoves(grain, why, random)
        for (let round = 0; round < 2; round += 1) {
          let row = rowOf(grain, random)
          let tried = row
          let cost = sequence.costOf(row)
          if (cost === Infinity) return
          const take = () => {
            sequence.keep()
            why.note(row, grain.layout)
          }
          take()
          for (let k = 0; k < 80; k += 1) {
            const next = moves.next(random() < 0.8 ? row : tried)
            tried = next
            const limit = random() < 0.4 ? Infinity : cost * (1 + random() * 0.2)
            const known = random() < 0.7 ? { row, start: why.start, by: why.by, cost } : undefined
            const found = sequence.costOf(next, limit, known)
            expect(found).toBe(alone.costOf(next, limit))
            if (found === Infinity) continue
            if (sequence.isKnown) {
              row = next
              why.noteRow(row)
              sequence.keep()
            } else {
              expect(grain.layout.schedule()).toEqual(bare.layout.schedule())
              expect(grain.layout.overfull).toBe(bare.layout.overfull)
              if (random() < 0.5) continue
              ;[row, cost] = [next, found]
              take()
            }
          }
          sequence.clear()
          alone.clear()
          expect(grain.layout.cost).toBeCloseTo(empty, 6)
          expect(grain.layout.schedule().start.every((start) => start === -1)).toBe(true)
        }
      }),
      { numRuns: 60 },
    )
  })
})

describe('lists in one piece', () => {
  test('are apart from each other, and all of them as they were once what was kept is brought back', () => {
    const memory = new Memory(64)
    const [first, sums, last] = [memory.list(3), memory.sums(2), memory.list(1)]
    first.set([1, 2, 3])
    sums.set([0.5, -7])
    last[0] = 9
    const kept = memory.kept()
    for (const each of [first, last]) each.fill(4)
    sums.fill(8)
    const later = memory.kept()
    memory.bringBack(kept)
    expect([...first, ...sums, ...last]).toEqual([1, 2, 3, 0.5, -7, 9])
    memory.bringBack(later)
    expect([...first, ...sums, ...last]).toEqual([4, 4, 4, 8, 8, 4])
  })
  test('more than there is room for is refused', () => {
    const memory = new Memory(16)
    memory.list(3)
    expect(() => memory.sums(1)).toThrow(RangeError)
  })
})
