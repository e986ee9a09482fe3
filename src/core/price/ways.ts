/** Ways to a price, side by side; where a price goes; and how it comes down where nobody buys. Money in minor units; pure. */
import { roundMoney } from '@/core/measure/money'
import type { LikePrices } from './likePieces'
import { type Channel, type CostLine, earnedRate, leastPriceFor, netOf, type Tax, taxOf } from './priceFor'
import { type Pricing, rateFor } from './pricing'

export const wayCodes = ['cost-plus', 'wish', 'like-pieces', 'rate-card'] as const
export type WayCode = (typeof wayCodes)[number]
export interface PriceWay {
  code: WayCode
  /** null where this way leads to none: fees eat it, nothing alike was sold, the card has no line */
  price: number | null
  /** money an hour at that price; null without a price or without hours */
  earned: number | null
}
export interface Judged {
  cost: number
  hours: number
  /** money an hour */
  rate: number
  channel: Channel
  tax: Tax
}
interface WaysAsk extends Judged {
  pricing: Pricing
  /** what meets the house's wish; null where no price does */
  target: number | null
  like: LikePrices | null
  article: string | null
  areaM2: number
}

/** Four ways: costs and hours with the mark-up, the house's wish, what like pieces brought, the rate card. */
export function priceWays({ pricing, target, like, article, areaM2, ...judged }: WaysAsk): PriceWay[] {
  const { cost, hours, rate, channel, tax } = judged
  const prices: Record<WayCode, number | null> = {
    'cost-plus': leastPriceFor((cost + roundMoney(hours * rate)) * (1 + pricing.markup), channel, tax),
    wish: target,
    'like-pieces': like?.middle ?? null,
    'rate-card': rateFor(pricing.rates, article, areaM2)?.price ?? null,
  }
  return wayCodes.map((code) => ({ code, price: prices[code], earned: earnedAt(prices[code], judged) }))
}
const earnedAt = (price: number | null, { cost, hours, channel, tax }: Judged): number | null =>
  price === null ? null : earnedRate(price, cost, hours, channel, tax)

export type ShareKind = 'fees' | 'tax' | 'hours' | 'left' | (string & {})
export interface PriceShare {
  kind: ShareKind
  amount: number
}
/**
 * Where a price goes, down to the last coin: fees, tax, each line of cost, the hours at their rate as far as it reaches, and what
 * is left; `short` is what the hours or the costs still lack.
 */
export function sharesOf(
  price: number,
  lines: readonly CostLine[],
  { hours, rate, channel, tax }: Omit<Judged, 'cost'>,
): { shares: PriceShare[]; short: number } {
  const fees = Math.min(price, roundMoney(price * channel.feeShare) + channel.feeFixed)
  const wanted: PriceShare[] = [
    { kind: 'fees', amount: fees },
    { kind: 'tax', amount: taxOf(price, tax) },
    ...lines,
    { kind: 'hours', amount: roundMoney(hours * rate) },
  ]
  let left = price
  let short = 0
  const shares = wanted.flatMap(({ kind, amount }) => {
    const paid = Math.min(left, Math.max(0, amount))
    left -= paid
    short += Math.max(0, amount) - paid
    return paid > 0 ? [{ kind, amount: paid }] : []
  })
  return { shares: left > 0 ? [...shares, { kind: 'left', amount: left }] : shares, short }
}

export interface Rung {
  week: number
  price: number
  /** what the studio keeps of it, less what standing there cost until then */
  keeps: number
  waiting: number
  /** it does not bring back what the piece cost and the waiting */
  loses: boolean
}
/**
 * How an ask comes down: every so many weeks so much of the first ask off, in whole steps, never below what brings the money
 * back; the last of them is the first that loses money. `weekly`: what a week of standing there costs, rent and all: so the fees
 * are those of the sale alone.
 */
export function ladderOf(
  ask: number,
  { ladderWeeks, ladderShare }: Pricing,
  {
    breakEven,
    step,
    weekly,
    cost,
    channel,
    tax,
  }: { breakEven: number; step: number; weekly: number } & Omit<Judged, 'hours' | 'rate'>,
): Rung[] {
  const rungs: Rung[] = []
  const least = Math.ceil(breakEven / step) * step
  for (let index = 0; index < 8; index += 1) {
    const week = index * ladderWeeks
    const wanted = Math.round((ask * (1 - index * ladderShare)) / step) * step
    const price = index === 0 ? ask : Math.max(least, wanted)
    const waiting = roundMoney(week * weekly)
    const keeps = roundMoney(netOf(price, channel, tax)) - waiting
    rungs.push({ week, price, keeps, waiting, loses: keeps < cost })
    if (price <= least || ladderShare <= 0 || keeps < cost) break
  }
  return rungs
}
