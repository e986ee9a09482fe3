/** What the house's terms come to, by one piece: eight hours in it, over two days, bought for what three of them are worth. Money in minor units; pure. */
import { roundMoney } from '@/core/measure/money'
import { type PricingTerms, taxFor } from '@/core/piece/ledger'
import { type Price, priceFor, PriceImpossible } from '@/core/price/priceFor'
import { overheadOf, usualPricing } from '@/core/price/pricing'
import { type PriceShare, sharesOf } from '@/core/price/ways'

const hours = 8
const days = 2
const boughtHours = 3

export interface Example {
  hours: number
  bought: number
  /** null where fees, tax and wish leave no price */
  asked: { price: Price; shares: PriceShare[] } | null
}

export function exampleOf(terms: PricingTerms): Example {
  const { hourRate, overheadRate, wish, haggle, step, pricing = usualPricing } = terms
  const bought = roundMoney(boughtHours * hourRate)
  const costs = [
    { kind: 'bought', amount: bought },
    {
      kind: 'overhead',
      amount: overheadOf(overheadRate, pricing, { hours, days, labour: roundMoney(hours * hourRate), material: 0 }),
    },
  ]
  const sold = { channel: { feeShare: 0, feeFixed: 0 }, tax: taxFor(terms, bought), hours, rate: hourRate }
  try {
    const price = priceFor({ ...sold, costs, wish, haggle, step })
    return { hours, bought, asked: { price, shares: sharesOf(price.ask, costs, sold).shares } }
  } catch (trouble) {
    if (!(trouble instanceof PriceImpossible)) throw trouble
    return { hours, bought, asked: null }
  }
}
