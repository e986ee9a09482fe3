/**
 * What a piece may come to cost, drawn many times: what is spent is certain, what is ahead scatters. Seeded, so that the same
 * figures give the same picture. Money in minor units, hours as decimals; pure.
 */
import { randomGamma, randomNormal } from 'd3-random'
import { randomFrom } from '@/core/measure/random'
import { type Channel, leastPriceFor, netOf, type Tax } from './priceFor'

/** A scatter of a logarithm about nothing: normal where `freedom` is not given, else Student's. */
export interface Scatter {
  scale: number
  freedom?: number | undefined
}
export interface SpreadAsk {
  /** money gone, or sure to go */
  spent: number
  /** hours behind */
  hoursDone: number
  /** hours ahead, at the middle; each line scatters by itself */
  hoursAhead: readonly { hours: number; scale: number }[]
  /** how all that is ahead scatters together */
  whole: Scatter
  /** money ahead, at the middle: materials and small things */
  moneyAhead: readonly { money: number; scale: number }[]
  /** money an hour: labour, and what the house takes of each hour */
  rate: number
  overheadRate: number
  draws: number
  seed: number
}
/** Each sorted, the least first; `paid` is with every hour at its rate. Not rounded. */
export interface Spread {
  cost: Float64Array
  paid: Float64Array
  hours: Float64Array
}

export function spreadOf({
  spent,
  hoursDone,
  hoursAhead,
  whole,
  moneyAhead,
  rate,
  overheadRate,
  draws,
  seed,
}: SpreadAsk): Spread {
  const random = randomFrom(seed)
  const normal = randomNormal.source(random)()
  const gamma = whole.freedom === undefined ? null : randomGamma.source(random)(whole.freedom / 2)
  // a Student's draw: a normal one over the root of a mean of squares
  const together = () =>
    normal() * whole.scale * (gamma && whole.freedom !== undefined ? Math.sqrt(whole.freedom / (2 * gamma())) : 1)
  const [cost, paid, hours] = [new Float64Array(draws), new Float64Array(draws), new Float64Array(draws)]
  for (let index = 0; index < draws; index += 1) {
    let ahead = 0
    for (const line of hoursAhead) ahead += line.hours * Math.exp(normal() * line.scale)
    // a day has its ends: nobody works a hundred times as long, and Student's tails would
    const worked = hoursDone + ahead * Math.exp(Math.max(-3, Math.min(3, together())))
    let money = spent + worked * overheadRate
    for (const line of moneyAhead) money += line.money * Math.exp(normal() * line.scale)
    hours[index] = worked
    cost[index] = money
    paid[index] = money + worked * rate
  }
  return { cost: cost.sort(), paid: paid.sort(), hours: hours.sort() }
}

/** How many of them are at most so much, as a share. */
export function shareWithin(sorted: Float64Array, most: number): number {
  let [low, high] = [0, sorted.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if ((sorted[middle] ?? 0) <= most) low = middle + 1
    else high = middle
  }
  return sorted.length === 0 ? 1 : low / sorted.length
}
/** So much that the given share of them is at most that. */
export const quantile = (sorted: Float64Array, share: number): number =>
  sorted[Math.max(0, Math.min(sorted.length - 1, Math.ceil(share * sorted.length) - 1))] ?? 0

/** The chance that a price does not bring back the money, and that it does not pay every hour its rate. */
export function chanceAt(
  { cost, paid }: Spread,
  price: number,
  channel: Channel,
  tax: Tax,
): { loses: number; underpays: number } {
  const kept = netOf(price, channel, tax)
  return { loses: 1 - shareWithin(cost, kept), underpays: 1 - shareWithin(paid, kept) }
}

/** One outcome out of many alike: at which price the money is back, and at which every hour is paid. Null where no price is. */
export interface Outcome {
  breakEven: number | null
  floor: number | null
}
/** The spread as so many outcomes, each as likely as the other, the cheapest first. */
export const outcomesOf = ({ cost, paid }: Spread, count: number, channel: Channel, tax: Tax): Outcome[] =>
  Array.from({ length: count }, (_, index) => {
    const share = (index + 0.5) / count
    return {
      breakEven: leastPriceFor(quantile(cost, share), channel, tax),
      floor: leastPriceFor(quantile(paid, share), channel, tax),
    }
  })

interface Bid {
  bid: number
  /** what it should bring, and how that scatters in logarithms */
  brings: { middle: number; scatter: number }
  channel: Channel
  tax: Tax
  seed: number
}
/**
 * The chance that a piece bought for so much loses money: neither what it costs nor what it brings is certain. `cost` is without the
 * bid. As a share of as many jobs as were drawn.
 */
export function chanceOfLoss({ cost }: Spread, { bid, brings, channel, tax, seed }: Bid): number {
  const normal = randomNormal.source(randomFrom(seed))()
  const taxed: Tax = tax.mode === 'margin' ? { ...tax, bought: bid } : tax
  let lost = 0
  for (const each of cost) {
    const price = brings.middle * Math.exp(normal() * brings.scatter)
    if (netOf(price, channel, taxed) < each + bid) lost += 1
  }
  return cost.length === 0 ? 0 : lost / cost.length
}
