/**
 * What a piece costs, what to ask, and the highest bid it would have stood. Money in minor units, shares as decimals
 * (0.2 = 20 %), hours as decimals; pure. Equations are solved exactly in decimals, so that a price is never a penny off.
 */
import Big from 'big.js'
import { roundMoney } from '@/core/measure/money'

export interface CostLine {
  kind: string
  /** minor units; the line `bought` is what a bid replaces */
  amount: number
}
export interface Channel {
  /** share of the buyer's price that the channel keeps */
  feeShare: number
  /** fixed fee in minor units */
  feeFixed: number
}
export type Tax =
  | { mode: 'none' }
  /** the price shown contains the tax */
  | { mode: 'inclusive'; share: number }
  /** second-hand margin scheme: tax only on what the price exceeds the buying price by */
  | { mode: 'margin'; share: number; bought: number }
export type Wish = { profit: number } | { margin: number } | { earnedRate: number }

export interface PriceInput {
  costs: readonly CostLine[]
  hours: number
  /** money per hour */
  rate: number
  channel: Channel
  tax: Tax
  wish: Wish
  /** share left for haggling, below 1 */
  haggle: number
  /** ask is rounded up to a multiple of this; 500 unless given */
  step?: number | undefined
  /** a price to judge: gives `earned` */
  price?: number | undefined
  /** what it is expected to bring: gives `highestBid` */
  expected?: number | undefined
}

export interface Price {
  cost: number
  labour: number
  breakEven: number
  floor: number
  target: number
  ask: number
  /** money per hour at `price`; null without a price or without hours */
  earned: number | null
  /** null where not even a gift would meet the wish, or no expected price is given */
  highestBid: number | null
}

/** Thrown where fees, tax and margin eat every price. */
export class PriceImpossible extends Error {
  constructor(readonly what: 'breakEven' | 'floor' | 'target') {
    super(`No price can meet the ${what}: fees, tax and wanted margin take the whole of it. Lower one of them.`)
    this.name = 'PriceImpossible'
  }
}

/** net(P) · (1 + t) as an exact decimal: what is left of price P after tax and channel, scaled to stay exact. */
function scaledNet(price: Big, channel: Channel, tax: Tax): Big {
  const scale = scaleOf(tax)
  const kept = price.minus(price.times(channel.feeShare)).minus(channel.feeFixed)
  if (tax.mode === 'none') return kept
  const taxed = tax.mode === 'inclusive' ? price : price.minus(tax.bought)
  return kept.times(scale).minus(taxed.gt(0) ? taxed.times(tax.share) : 0)
}

const scaleOf = (tax: Tax) => (tax.mode === 'none' ? Big(1) : Big(1).plus(tax.share))

/** What the studio keeps of a price, in minor units, unrounded. */
export function netOf(price: number, channel: Channel, tax: Tax): number {
  return scaledNet(Big(price), channel, tax).div(scaleOf(tax)).toNumber()
}

/** The tax within a price, in minor units, rounded. */
export function taxOf(price: number, tax: Tax): number {
  if (tax.mode === 'none') return 0
  const taxed = tax.mode === 'inclusive' ? price : Math.max(0, price - tax.bought)
  return roundMoney((taxed * tax.share) / (1 + tax.share))
}

/** The least whole price P ≥ 0 with net(P) − marginShare · P ≥ need. */
function leastPrice(what: PriceImpossible['what'], need: Big, marginShare: number, channel: Channel, tax: Tax): number {
  const scale = scaleOf(tax)
  const wanted = need.times(scale)
  const left = (price: Big) => scaledNet(price, channel, tax).minus(price.times(marginShare).times(scale))
  const enough = (price: Big) => left(price).gte(wanted)
  if (enough(Big(0))) return 0
  // the balance is a straight line on each side of the margin scheme's knee
  const knee = tax.mode === 'margin' ? Big(tax.bought) : Big(0)
  if (enough(knee)) return climb(Big(0), knee, left, wanted, enough)
  if (left(knee.plus(1e6)).lte(left(knee))) throw new PriceImpossible(what)
  return climb(knee, knee.plus(1e6), left, wanted, enough)
}

/** The least whole price that leaves so much; null where fees and tax eat every price. `need` in minor units. */
export function leastPriceFor(need: number, channel: Channel, tax: Tax): number | null {
  try {
    return leastPrice('floor', Big(need), 0, channel, tax)
  } catch (error) {
    if (error instanceof PriceImpossible) return null
    throw error
  }
}

/** Solves the line through two prices and steps to the whole unit that first suffices. */
function climb(from: Big, to: Big, left: (p: Big) => Big, wanted: Big, enough: (p: Big) => boolean): number {
  const slope = left(to).minus(left(from)).div(to.minus(from))
  let price = from.plus(wanted.minus(left(from)).div(slope)).round(0, Big.roundDown)
  while (price.gt(0) && enough(price.minus(1))) price = price.minus(1)
  while (!enough(price)) price = price.plus(1)
  return price.toNumber()
}

/** Every price of a piece at once; throws {@link PriceImpossible} where a wish can't be met by any price. */
export function priceFor(input: PriceInput): Price {
  const { channel, tax, wish, hours } = input
  const cost = input.costs.reduce((sum, line) => sum + line.amount, 0)
  const labour = roundMoney(Big(hours).times(input.rate).toNumber())
  const marginShare = 'margin' in wish ? wish.margin : 0
  const wanted = wishNeed(wish, labour, hours)
  const target = leastPrice('target', wanted.plus(cost), marginShare, channel, tax)
  if (!(input.haggle < 1)) throw new PriceImpossible('target')
  const step = input.step ?? 500
  const ask = Big(target).div(Big(1).minus(input.haggle)).div(step).round(0, Big.roundUp).times(step).toNumber()
  const result = {
    cost,
    labour,
    breakEven: leastPrice('breakEven', Big(cost), 0, channel, tax),
    floor: leastPrice('floor', Big(cost).plus(labour), 0, channel, tax),
    target,
    ask,
    earned: null as number | null,
    highestBid: null as number | null,
  }
  if (input.price !== undefined) result.earned = earnedRate(input.price, cost, hours, channel, tax)
  if (input.expected !== undefined) result.highestBid = highestBid(input, wanted, marginShare, input.expected)
  return result
}

/** Money per hour that a price brings, rounded; null without hours. */
export function earnedRate(price: number, cost: number, hours: number, channel: Channel, tax: Tax): number | null {
  return hours > 0 ? roundMoney((netOf(price, channel, tax) - cost) / hours) : null
}

/** What net(P) must leave above the costs, the margin's share of P apart. */
function wishNeed(wish: Wish, labour: number, hours: number): Big {
  if ('earnedRate' in wish) return Big(hours).times(wish.earnedRate)
  return Big(labour).plus('profit' in wish ? wish.profit : 0)
}

function highestBid({ costs, channel, tax }: PriceInput, wanted: Big, marginShare: number, expected: number): number | null {
  const others = costs.filter((line) => line.kind !== 'bought').reduce((sum, line) => sum + line.amount, 0)
  const need = wanted.plus(others).plus(Big(expected).times(marginShare))
  const stands = (bid: Big) => {
    const taxed: Tax = tax.mode === 'margin' ? { ...tax, bought: bid.toNumber() } : tax
    return scaledNet(Big(expected), channel, taxed)
      .minus(bid.times(scaleOf(tax)))
      .gte(need.times(scaleOf(tax)))
  }
  if (!stands(Big(0))) return null
  let low = 0
  let high = expected + 1
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2)
    if (stands(Big(middle))) low = middle
    else high = middle
  }
  return low
}
