import { expect, test } from 'vitest'
import type { PricingTerms } from '@/core/piece/ledger'
import { usualPricing } from '@/core/price/pricing'
import { exampleOf } from './example'

const terms: PricingTerms = {
  ...{ hourRate: 1800, overheadRate: 160, taxMode: 'none', taxShare: 0, haggle: 0.1, step: 500 },
  wish: { earnedRate: 2200 },
}
test('eight hours at 18.00, bought for three of them: what brings the wish, what is asked, where it goes', () => {
  // 54.00 and 8 × 1.60; the wish is 8 × 22.00 beside them; a tenth of the ask is for haggling, in whole fives
  const { bought, asked } = exampleOf(terms)
  expect(bought).toBe(5400)
  expect(asked?.price).toMatchObject({ cost: 6680, breakEven: 6680, floor: 21_080, target: 24_280, ask: 27_000 })
  expect(asked?.shares).toEqual([
    { kind: 'bought', amount: 5400 },
    { kind: 'overhead', amount: 1280 },
    { kind: 'hours', amount: 14_400 },
    { kind: 'left', amount: 5920 },
  ])
})
test('tax in the price: a sixth of it at a fifth; on the margin only of what it brings above its buying', () => {
  const taxOf = (taxMode: PricingTerms['taxMode']) =>
    exampleOf({ ...terms, taxMode, taxShare: 0.2 }).asked?.shares.find(({ kind }) => kind === 'tax')?.amount
  // 242.80 must be left: 291.36 with the tax, asked 325.00, a sixth of that
  expect(taxOf('inclusive')).toBe(5417)
  // 54.00 untaxed, and 188.80 to be left of the rest: 280.56, asked 315.00, a sixth of 261.00
  expect(taxOf('margin')).toBe(4350)
})
test('overhead by the house’s rule: two days of 9.00 in place of the hours', () => {
  const pricing = { ...usualPricing, overheadPer: 'day', overheadDay: 900 } as const
  expect(exampleOf({ ...terms, pricing }).asked?.shares[1]).toEqual({ kind: 'overhead', amount: 1800 })
})
test('a wish that is more than any price leaves none', () => {
  expect(exampleOf({ ...terms, wish: { margin: 1 } }).asked).toBeNull()
})
