import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { countTin, type TinThen } from './count'
import { costSoFar } from './drawFromLots'

const tin = (over: Partial<TinThen> = {}): TinThen => ({
  id: 'a',
  size: 500,
  price: 2_100,
  held: 500,
  spent: 0,
  isLast: true,
  ...over,
})

describe('a tin counted', () => {
  test('500 ml at 21.00, thought full: 400 found are 100 gone for 4.20', () =>
    expect(countTin(tin(), 400)).toEqual({ gone: 100, money: 420 }))
  test('as thought: nothing is gone, and it costs nothing', () =>
    expect(countTin(tin({ held: 123.4, spent: 1_582 }), 123.4)).toEqual({ gone: 0, money: 0 }))
  test('found empty while something was taken since: its share alone, the rest is with what was taken', () =>
    expect(countTin(tin({ held: 250, spent: 1_500, isLast: false }), 0)).toEqual({ gone: 250, money: 1_050 }))
  test('drawn and counted in any order until it is empty: all of it comes to what it was bought for', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 4_000 }),
        fc.integer({ min: 0, max: 90_000 }),
        fc.array(fc.record({ counts: fc.boolean(), share: fc.double({ min: 0, max: 1, noNaN: true }) }), { maxLength: 12 }),
        (size, price, turns) => {
          let [held, spent, gone, drawn] = [size, 0, 0, 0]
          for (const { counts, share } of turns) {
            if (counts) {
              const found = Math.round(share * size * 10) / 10
              const said = countTin({ id: 'a', size, price, held, spent, isLast: true }, found)
              ;[held, spent, gone] = [found, spent + said.money, gone + said.gone]
            } else {
              const left = Math.round(held * share * 10) / 10
              drawn += held - left
              spent += costSoFar({ size, price }, left) - costSoFar({ size, price }, held)
              held = left
            }
          }
          const last = countTin({ id: 'a', size, price, held, spent, isLast: true }, 0)
          expect(spent + last.money).toBe(price)
          expect(gone + last.gone + drawn).toBeCloseTo(size, 6)
        },
      ),
      { numRuns: 300 },
    ))
})
