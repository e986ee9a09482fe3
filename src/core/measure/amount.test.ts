import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { unitSystems } from '@/core/measure/units'
import { amountText, formatAmount, parseAmount, smallUnit } from './amount'
import { locales } from './number'

describe('amounts as they stand on a tin', () => {
  test.each([
    ['500', 'metric', 500],
    ['0.75 l', 'metric', 750],
    ['0,75 litre', 'metric', 750],
    ['1 pint', 'imperial', 568.26],
    ['1 pint', 'us', 473.18],
    ['½ pt', 'us', 236.59],
    ['1 1/2 pints', 'imperial', 852.39],
    ['1 quart', 'us', 946.35],
    ['1 qt', 'imperial', 1136.52],
    ['1 gal', 'us', 3785.41],
    ['8 fl oz', 'us', 236.59],
    ['8 fl. oz.', 'imperial', 227.3],
    ['8 oz', 'us', 236.59],
    ['8', 'us', 236.59],
    ['1 US quart', 'metric', 946.35],
    ['1 imp pint', 'us', 568.26],
    ['250 ml', 'us', 250],
  ] as const)('“%s” (%s) is %d ml', (text, system, ml) => expect(parseAmount(text, 'ml', system)).toBeCloseTo(ml, 1))
  test.each([
    ['250', 'metric', 250],
    ['12,5 g', 'metric', 12.5],
    ['0.5 kg', 'metric', 500],
    ['8 oz', 'us', 226.8],
    ['8', 'imperial', 226.8],
    ['1 lb', 'us', 453.59],
  ] as const)('“%s” of wax (%s) is %d g', (text, system, g) => expect(parseAmount(text, 'g', system)).toBeCloseTo(g, 1))
  test('what does not measure it is no amount: grams of paint, pints of wax, words', () => {
    expect(
      ['250 g', '1 lb', 'a lot', '', '-5', '1/0 pt', '1e3', '5 stone'].map((text) => parseAmount(text, 'ml', 'metric')),
    ).toEqual(Array.from({ length: 8 }, () => null))
    expect(['1 pint', '500 ml', '1 l'].map((text) => parseAmount(text, 'g', 'us'))).toEqual([null, null, null])
  })
  test('a bare fraction is of the tin, one with a unit is of the unit', () => {
    expect(parseAmount('1/2', 'ml', 'us', 946)).toBe(473)
    expect(parseAmount('1/2 pint', 'ml', 'us', 946)).toBeCloseTo(236.59, 1)
    expect(parseAmount('1/2', 'ml', 'us')).toBeNull()
  })
  test('what a field shows is read back to the hundredth of its unit, in every country', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 20_000, noNaN: true }),
        fc.constantFrom('ml', 'g'),
        fc.constantFrom(...unitSystems),
        fc.constantFrom(...locales),
        (amount, unit, units, locale) => {
          const read = parseAmount(amountText(amount, unit, { units, locale }), unit, units) ?? NaN
          expect(Math.abs(read - amount)).toBeLessThanOrEqual(0.5 * smallUnit(unit, units).size)
        },
      ),
    )
  })
  test('shown in what the house measures in', () => {
    const shown = (
      amount: number,
      unit: 'ml' | 'g',
      units: (typeof unitSystems)[number],
      locale: (typeof locales)[number] = 'en-GB',
    ) => formatAmount(amount, unit, { units, locale })
    expect([shown(120.4, 'ml', 'metric'), shown(1250, 'ml', 'metric'), shown(1250, 'ml', 'metric', 'de-DE')]).toEqual([
      '120 ml',
      '1.25 l',
      '1,25 l',
    ])
    expect([shown(568.26, 'ml', 'imperial'), shown(473.18, 'ml', 'us'), shown(226.8, 'g', 'us')]).toEqual([
      '20 fl oz',
      '16 fl oz',
      '8 oz',
    ])
  })
})
