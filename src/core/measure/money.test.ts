import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  formatMoney,
  minorDigits,
  moneyText,
  parseMoney,
  parseSignedMoney,
  plainMoney,
  type Reckoning,
  roundMoney,
  signedMoneyText,
} from './money'
import { locales } from './number'

const british = (currency: string): Reckoning => ({ currency, locale: 'en-GB' })

describe('money', () => {
  test('halves are rounded away from nought, either way', () => {
    expect([roundMoney(82.5), roundMoney(-82.5), roundMoney(82.49)]).toEqual([83, -83, 82])
  })
  test('yen have no minor unit, dinars have three', () => {
    expect([minorDigits('JPY'), minorDigits('GBP'), minorDigits('KWD')]).toEqual([0, 2, 3])
  })
  test.each([
    ['42', 'GBP', 4200],
    ['42.50', 'GBP', 4250],
    ['42,50', 'EUR', 4250],
    ['£1,250.00', 'GBP', 125_000],
    ['1250', 'JPY', 1250],
    ['18.00', 'JPY', 18],
    ['42.500', 'GBP', 4250],
  ] as const)('“%s” in %s is %d', (text, currency, minor) => {
    expect(parseMoney(text, british(currency))).toBe(minor)
  })
  test.each(['forty-two', '4.2.1', '-5', '42.505'])('“%s” is none', (text) => expect(parseMoney(text, british('GBP'))).toBeNull())
  test('what a field shows is read back as it was, in any currency and country', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 10_000_000 }),
        fc.constantFrom('GBP', 'EUR', 'USD', 'JPY', 'KWD'),
        fc.constantFrom(...locales),
        (minor, currency, locale) => {
          const house = { currency, locale }
          expect(parseMoney(moneyText(minor, house), house)).toBe(minor)
          expect(parseMoney(formatMoney(minor, house), house)).toBe(minor)
        },
      ),
    )
  })
  test('short drops the pence where there are none', () => {
    expect([
      formatMoney(5700, british('GBP'), { short: true }),
      formatMoney(5750, british('GBP'), { short: true }),
      formatMoney(5700, british('GBP')),
    ]).toEqual(['£57', '£57.50', '£57.00'])
  })
  test.each([
    ['1.250', 'de-DE', 125_000],
    ['1.250,50', 'de-DE', 125_050],
    ['12,50', 'de-DE', 1250],
    ['1,250', 'en-US', 125_000],
    ['1,250.50', 'en-US', 125_050],
    ['1 250,50', 'fr-FR', 125_050],
    ["1'250.50", 'de-CH', 125_050],
  ] as const)('“%s” in %s is %d of the small coin', (text, locale, minor) =>
    expect(parseMoney(text, { currency: 'EUR', locale })).toBe(minor),
  )
  test('each country writes it its own way; a file for machines has one', () => {
    const written = (locale: Reckoning['locale']) =>
      formatMoney(123_450, { currency: 'EUR', locale }).replace(/[\u00a0\u202f]/g, ' ')
    expect([written('en-GB'), written('en-US'), written('de-DE'), written('fr-FR')]).toEqual([
      '€1,234.50',
      '€1,234.50',
      '1.234,50 €',
      '1 234,50 €',
    ])
    expect(plainMoney(123_450, 'EUR')).toBe('1234.50')
  })
})

test('money that may be less than nothing is read as it is written, in every currency', () => {
  const house = { currency: 'GBP', locale: 'en-GB' } as const
  expect(['-5', '−£12.50', ' 40 ', '-0', 'five', '--5'].map((text) => parseSignedMoney(text, house))).toEqual([
    ...[-500, -1_250, 4_000, 0, null, null],
  ])
  for (const currency of ['GBP', 'JPY', 'KWD'])
    for (const minor of [-123_456, -1, 0, 1, 987_654]) {
      const own = { currency, locale: 'en-GB' } as const
      expect([currency, parseSignedMoney(signedMoneyText(minor, own), own)]).toEqual([currency, minor])
    }
})
