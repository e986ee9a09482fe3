import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type MeasuredFace, surfaceArea } from './surfaceArea'

const mm = fc.double({ min: 1, max: 5000, noNaN: true })
const count = fc.integer({ min: 1, max: 20 })
const relief = fc.constantFrom('flat' as const, 'framed' as const, 'moulded' as const, 'carved' as const)
export const anySurface: fc.Arbitrary<MeasuredFace> = fc.oneof(
  fc.record({ shape: fc.constant('panel' as const), relief, count, width: mm, height: mm }),
  fc.record({ shape: fc.constant('squareLeg' as const), relief, count, width: mm, length: mm }),
  fc.record({ shape: fc.constant('taperedLeg' as const), relief, count, top: mm, foot: mm, length: mm }),
  fc.record({ shape: fc.constant('roundLeg' as const), relief, count, diameter: mm, length: mm }),
  fc.record({ shape: fc.constant('turnedLeg' as const), relief, count, diameter: mm, length: mm }),
)

describe('the area of a part', () => {
  test('a table top of 1.2 m by 0.8 m, both faces, is 1.92 m²', () => {
    expect(surfaceArea({ surfaces: [{ shape: 'panel', relief: 'flat', count: 2, width: 1200, height: 800 }] }).area).toBeCloseTo(
      1.92,
      12,
    )
  })
  test('four square legs of 45 mm and 700 mm, moulded, are 0.63 m²', () => {
    // 4 × 4 × 0.045 × 0.7 × 1.25
    expect(
      surfaceArea({ surfaces: [{ shape: 'squareLeg', relief: 'moulded', count: 4, width: 45, length: 700 }] }).area,
    ).toBeCloseTo(0.63, 12)
  })
  test('a tapered leg that does not taper is a square leg', () => {
    fc.assert(
      fc.property(mm, mm, count, relief, (width, length, n, r) => {
        const tapered = surfaceArea({
          surfaces: [{ shape: 'taperedLeg', relief: r, count: n, top: width, foot: width, length }],
        }).area
        const square = surfaceArea({ surfaces: [{ shape: 'squareLeg', relief: r, count: n, width, length }] }).area
        expect(tapered).toBeCloseTo(square, 6)
      }),
    )
  })
  test('no surface, no area', () => {
    expect(surfaceArea({ surfaces: [] }).area).toBe(0)
  })
  test('parts add up, in any order', () => {
    fc.assert(
      fc.property(fc.array(anySurface, { maxLength: 8 }), fc.array(anySurface, { maxLength: 8 }), (one, other) => {
        const together = surfaceArea({ surfaces: [...other, ...one] }).area
        const apart = surfaceArea({ surfaces: one }).area + surfaceArea({ surfaces: other }).area
        expect(Math.abs(together - apart)).toBeLessThanOrEqual(1e-9 * Math.max(1, apart))
      }),
    )
  })
  test('twice the lengths, four times the area', () => {
    fc.assert(
      fc.property(mm, mm, relief, (width, height, r) => {
        const area = (k: number) =>
          surfaceArea({ surfaces: [{ shape: 'panel', relief: r, count: 1, width: width * k, height: height * k }] }).area
        expect(area(2)).toBeCloseTo(4 * area(1), 6)
      }),
    )
  })
})
