/** What the house's terms come to, by one piece: eight hours in it, bought for what three of them are worth. Money in minor units; pure. */
import { roundMoney } from '@/core/measure/money'
import { type Price, priceFor, PriceImpossible, type Tax, type Wish } from '@/core/price/priceFor'
import { type PriceShare, sharesOf } from '@/core/price/ways'

const hours = 8
const boughtHours = 3

export interface Terms {
  hourRate: number
  overheadRate: number
  taxMode: Tax['mode']
  taxShare: number
  wish: Wish
  haggle: number
  step: number
}
export interface Example {
  hours: number
  bought: number
  /** null where fees, tax and wish leave no price */
  asked: { price: Price; shares: PriceShare[] } | null
}

export function exampleOf({ hourRate, overheadRate, taxMode, taxShare, wish, haggle, step }: Terms): Example {
  const bought = roundMoney(boughtHours * hourRate)
  const costs = [
    { kind: 'bought', amount: bought },
    { kind: 'overhead', amount: roundMoney(hours * overheadRate) },
  ]
  const tax: Tax = taxMode === 'none' ? { mode: 'none' } : { mode: taxMode, share: taxShare, bought }
  const sold = { channel: { feeShare: 0, feeFixed: 0 }, tax, hours, rate: hourRate }
  try {
    const price = priceFor({ ...sold, costs, wish, haggle, step })
    return { hours, bought, asked: { price, shares: sharesOf(price.ask, costs, sold).shares } }
  } catch (trouble) {
    if (!(trouble instanceof PriceImpossible)) throw trouble
    return { hours, bought, asked: null }
  }
}
