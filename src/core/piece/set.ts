/** Alike ones worked as one piece: how many there are, and what each is to bring. Money in minor units; pure. */
import { commonDivisor } from '@/core/measure/number'
import type { Price } from '@/core/price/priceFor'
import type { Part } from './piece'

/** How many alike ones a piece is: so many that each has as many of every part; 1 where it is one article. */
export const setSize = (parts: readonly Pick<Part, 'count'>[]): number =>
  parts.reduce((most, { count }) => commonDivisor(most, count), 0) || 1

export type EachPrice = Pick<Price, 'cost' | 'breakEven' | 'floor' | 'target' | 'ask'>
/** What each of a set is to bring, so that all of them bring the whole: the ask by the house's step, the rest to the last coin. */
export function priceEach(price: Price, of: number, step: number): EachPrice {
  const each = (whole: number) => Math.ceil(whole / of)
  return {
    cost: each(price.cost),
    breakEven: each(price.breakEven),
    floor: each(price.floor),
    target: each(price.target),
    ask: Math.ceil(price.ask / of / step) * step,
  }
}
