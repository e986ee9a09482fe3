import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { formatMoney, minorDigits, moneyText, parseMoney, roundMoney } from './money'

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
  ] as const)('“%s” in %s is %d', (text, currency, minor) => {
    expect(parseMoney(text, currency)).toBe(minor)
  })
  test.each(['forty-two', '4.2.1', '-5', '42.505'])('“%s” is none', (text) => expect(parseMoney(text, 'GBP')).toBeNull())
  test('what a field shows is read back as it was, in any currency', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 10_000_000 }),
        fc.constantFrom('GBP', 'EUR', 'USD', 'JPY', 'KWD'),
        (minor, currency) => {
          expect(parseMoney(moneyText(minor, currency), currency)).toBe(minor)
        },
      ),
    )
  })
  test('short drops the pence where there are none', () => {
    expect([
      formatMoney(5700, 'GBP', { short: true }),
      formatMoney(5750, 'GBP', { short: true }),
      formatMoney(5700, 'GBP'),
    ]).toEqual(['£57', '£57.50', '£57.00'])
  })
})
