import fc from 'fast-check'
import { expect, test } from 'vitest'
import { placeMarks, scaleOf } from './strokes'

test('every price lies on the scale, and a higher one further right', () =>
  fc.assert(
    fc.property(fc.array(fc.nat(100_000), { minLength: 1, maxLength: 20 }), (prices) => {
      const { at, low, high } = scaleOf([...prices, Infinity])
      const sorted = [...prices].sort((a, b) => a - b)
      expect(low).toBeLessThanOrEqual(sorted[0]!)
      expect(high).toBeGreaterThan(sorted.at(-1)!)
      for (const [index, price] of sorted.entries()) {
        expect(at(price)).toBeGreaterThanOrEqual(0)
        expect(at(price)).toBeLessThanOrEqual(1)
        if (index > 0) expect(at(price)).toBeGreaterThanOrEqual(at(sorted[index - 1]!))
      }
    }),
  ))
test('no two words of one row meet', () =>
  fc.assert(
    fc.property(fc.array(fc.nat(1_000), { minLength: 1, maxLength: 6 }), (prices) => {
      const wide = 0.15
      const placed = placeMarks(
        prices.map((price, index) => ({ key: String(index), words: 'Ask', price })),
        (price) => price / 1_000,
        wide,
      )
      expect(placed).toHaveLength(prices.length)
      const from = (x: number) => Math.max(0, Math.min(1 - wide, x - wide / 2))
      for (const one of placed)
        for (const other of placed)
          if (one.key < other.key && one.row === other.row)
            expect(Math.abs(from(one.x) - from(other.x))).toBeGreaterThanOrEqual(wide - 1e-9)
    }),
  ))
