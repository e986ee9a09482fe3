import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type Measuring, type UnitSystem, unitSystems } from '@/core/measure/units'
import { amountText, formatAmount, parseAmount, plainAmount, smallUnit } from './amount'
import { type Locale, locales } from './number'

const house = (units: UnitSystem, locale: Locale = 'en-GB'): Measuring => ({ units, locale })

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
  ] as const)('“%s” (%s) is %d ml', (text, system, ml) => expect(parseAmount(text, 'ml', house(system))).toBeCloseTo(ml, 1))
  test.each([
    ['250', 'metric', 250],
    ['12,5 g', 'metric', 12.5],
    ['0.5 kg', 'metric', 500],
    ['8 oz', 'us', 226.8],
    ['8', 'imperial', 226.8],
    ['1 lb', 'us', 453.59],
  ] as const)('“%s” of wax (%s) is %d g', (text, system, g) => expect(parseAmount(text, 'g', house(system))).toBeCloseTo(g, 1))
  test('what does not measure it is no amount: grams of paint, pints of wax, words', () => {
    expect(
      ['250 g', '1 lb', 'a lot', '', '-5', '1/0 pt', '1e3', '5 stone'].map((text) => parseAmount(text, 'ml', house('metric'))),
    ).toEqual(Array.from({ length: 8 }, () => null))
    expect(['1 pint', '500 ml', '1 l'].map((text) => parseAmount(text, 'g', house('us')))).toEqual([null, null, null])
  })
  test('a bare fraction is of the tin, one with a unit is of the unit', () => {
    expect(parseAmount('1/2', 'ml', house('us'), 946)).toBe(473)
    expect(parseAmount('1/2 pint', 'ml', house('us'), 946)).toBeCloseTo(236.59, 1)
    expect(parseAmount('1/2', 'ml', house('us'))).toBeNull()
  })
  test('what a field shows is read back to the hundredth of its unit, in every country', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 20_000, noNaN: true }),
        fc.constantFrom('ml', 'g'),
        fc.constantFrom(...unitSystems),
        fc.constantFrom(...locales),
        (amount, unit, units, locale) => {
          const read = parseAmount(amountText(amount, unit, { units, locale }), unit, { units, locale }) ?? NaN
          expect(Math.abs(read - amount)).toBeLessThanOrEqual(0.0051 * smallUnit(unit, units).size)
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

describe('amounts as they are judged', () => {
  test.each([
    ['80', 80],
    ['80 ml', 80],
    ['12,5', 12.5],
    ['1/3 tin', 167],
    ['about a third of the tin', 167],
    ['two thirds', 333],
    ['half', 250],
    ['¾ of the tin', 375],
    ['all of it', 500],
  ] as const)('“%s” of a tin of 500 is %d', (text, amount) => expect(parseAmount(text, 'ml', house('metric'), 500)).toBe(amount))
  test.each(['', 'some', '5/3', 'a good deal'])('“%s” is none', (text) =>
    expect(parseAmount(text, 'ml', house('metric'), 500)).toBeNull(),
  )
  test('a share of no tin is none', () => expect(parseAmount('half', 'ml', house('metric'))).toBeNull())
})

describe('a mark between figures', () => {
  test.each([
    ['1,000', 'en-GB', 1000],
    ['1.000', 'de-DE', 1000],
    ['1,000 ml', 'en-US', 1000],
    ['0,750 l', 'en-GB', 750],
    ['1,5 l', 'en-GB', 1500],
    ['12.5', 'de-DE', 12.5],
  ] as const)('“%s” in %s is %d ml', (text, locale, ml) => expect(parseAmount(text, 'ml', house('metric', locale))).toBe(ml))
})

test('what is sent later is read the same by any house, whatever it measures and writes in by then', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.01, max: 90_000, noNaN: true }),
      fc.constantFrom('ml', 'g'),
      fc.constantFrom(...unitSystems),
      fc.constantFrom(...locales),
      (amount, unit, units, locale) => {
        expect(parseAmount(plainAmount(amount, unit), unit, { units, locale })).toBeCloseTo(amount, 1)
      },
    ),
  )
})
