import fc from 'fast-check'
import { expect, test } from 'vitest'
import type { Price } from '@/core/price/priceFor'
import { priceEach, setSize } from './set'

const sized = (...counts: number[]) => setSize(counts.map((count) => ({ count })))

test('four chairs are four, a pair of cabinets with two drawers each is two, a chest of three drawers is one', () => {
  expect([sized(4), sized(4, 4), sized(2, 2, 4), sized(1, 1, 3), sized(3, 1), sized()]).toEqual([4, 4, 2, 1, 1, 1])
})
const price: Price = {
  cost: 10_001,
  labour: 0,
  breakEven: 11_000,
  floor: 20_002,
  target: 30_000,
  ask: 35_000,
  earned: null,
  highestBid: null,
}
test('four of them at 350.00: each 90.00 where the house asks in tens, its floor to the penny', () =>
  expect(priceEach(price, 4, 1000)).toEqual({ cost: 2501, breakEven: 2750, floor: 5001, target: 7500, ask: 9000 }))
test('sold each by each they never bring less than the whole', () =>
  fc.assert(
    fc.property(fc.nat(1e7), fc.integer({ min: 1, max: 24 }), fc.integer({ min: 1, max: 5000 }), (money, of, step) => {
      const each = priceEach({ ...price, floor: money, ask: money }, of, step)
      expect(each.floor * of).toBeGreaterThanOrEqual(money)
      expect(each.ask * of).toBeGreaterThanOrEqual(money)
      expect(each.ask % step).toBe(0)
    }),
  ))
