/**
 * A piece at the price desk: what it will have cost, what it may come to cost, and through each place it can be sold what to ask,
 * what is kept and what waiting costs. Money in minor units; pure.
 */
import type { FamilyCode } from '@/core/craft/families'
import type { Estimator } from '@/core/learn/estimate'
import { roundMoney } from '@/core/measure/money'
import { areaOfPart } from '@/core/piece/area'
import type { Journey } from '@/core/piece/journey'
import {
  boughtIn,
  daysHere,
  type Ledger,
  ledgerSoFar,
  ledgerWhenDone,
  pricesOfLedger,
  type PricingTerms,
  taxFor,
} from '@/core/piece/ledger'
import type { Piece } from '@/core/piece/piece'
import { spreadAskOf } from '@/core/piece/pieceSpread'
import { type LikePrices, likePrices, usualScatter } from '@/core/price/likePieces'
import { type Channel, leastPriceFor, netOf, type Price, type Tax, taxOf } from '@/core/price/priceFor'
import { type Pricing, rateFor, rentEach, usualPricing } from '@/core/price/pricing'
import { salesLately, type Sold } from '@/core/price/sold'
import type { SpreadAsk } from '@/core/price/spread'
import { ladderOf, type PriceWay, priceWays, type Rung, sharesOf } from '@/core/price/ways'
import type { SalesChannel } from './studio'

export interface DeskAround {
  terms: PricingTerms
  unitPrice: Partial<Record<FamilyCode, number>>
  estimator: Estimator
  channels: readonly SalesChannel[]
  /** the latest sales; `isCut`: there were earlier ones */
  sold: readonly Sold[]
  isCut: boolean
  /** how many pieces stand on sale in each place */
  standing: ReadonlyMap<string, number>
  nowMs: number
  /** working days ahead of it, as calendar days */
  daysAhead: number
}
/** A place to sell, as this piece meets it. */
export interface ChannelDesk {
  channel: SalesChannel
  /** with its share of the rent among the fixed fees */
  fees: Channel
  /** of a month's rent, what each sale bears */
  rentShare: number
  /** what a week on sale costs: its rent shared with what else stands there, and the days' overhead */
  weekly: number
  /** null where no price meets the wish */
  price: Price | null
  /** at the ask */
  kept: { fees: number; tax: number; net: number; earned: number | null } | null
}
/** What a piece is taken to bring, by what that is known, and how it scatters in logarithms. */
export interface Brings {
  price: number
  by: 'said' | 'like-pieces' | 'rate-card'
  scatter: number
}
export interface PriceDesk {
  soFar: Ledger
  whenDone: Ledger
  spread: SpreadAsk
  like: LikePrices | null
  /** null where nobody knows */
  brings: Brings | null
  tax: Tax
  areaM2: number
  channels: ChannelDesk[]
}
const weekDays = 7
const monthWeeks = 4.348

export function priceDesk(journey: Journey, around: DeskAround): PriceDesk {
  const { terms, unitPrice, estimator, nowMs } = around
  const { piece, parts } = journey.file
  const here = daysHere(journey, nowMs)
  const days = here + around.daysAhead
  const whenDone = ledgerWhenDone(journey, terms, unitPrice, { days, estimator })
  const areaM2 = parts.reduce((sum, part) => sum + areaOfPart(part), 0)
  const looks = parts.flatMap(({ plan }) => (plan && plan.care === undefined ? [plan.look] : []))
  const like = likePrices({ article: piece.article, areaM2, looks }, around.sold, nowMs)
  const brings = bringsOf(piece, like, terms, areaM2)
  const tax = taxFor(terms, boughtIn(whenDone.lines))
  return {
    soFar: ledgerSoFar(journey, terms, here),
    whenDone,
    spread: spreadAskOf(journey, { terms, unitPrice, estimator, days }),
    like,
    brings,
    tax,
    areaM2,
    channels: around.channels.map((channel) => atChannel(channel, { around, whenDone, expected: brings?.price, tax })),
  }
}

/** What is said of it, else what like pieces brought, else what the rate card asks. */
function bringsOf(
  { expected, article }: Pick<Piece, 'expected' | 'article'>,
  like: LikePrices | null,
  { pricing = usualPricing }: PricingTerms,
  areaM2: number,
): Brings | null {
  if (expected !== null) return { price: expected, by: 'said', scatter: usualScatter }
  if (like) return { price: like.middle, by: 'like-pieces', scatter: like.scatter }
  const rate = rateFor(pricing.rates, article, areaM2)
  return rate && { price: rate.price, by: 'rate-card', scatter: usualScatter }
}

interface At {
  around: DeskAround
  whenDone: Ledger
  expected: number | undefined
  tax: Tax
}
function atChannel(channel: SalesChannel, { around, whenDone, expected, tax }: At): ChannelDesk {
  const { terms, sold, isCut, standing, nowMs } = around
  const { sales, months } = salesLately(sold, channel.id, nowMs, isCut)
  const rentShare = rentEach(channel.rent, sales, months)
  const fees = { feeShare: channel.feeShare, feeFixed: channel.feeFixed + rentShare }
  const priced = pricesOfLedger(whenDone, terms, fees, { expected })
  const price = 'price' in priced ? priced.price : null
  const pricing = terms.pricing ?? usualPricing
  const byDay = pricing.overheadPer === 'day' ? pricing.overheadDay : 0
  const weekly = roundMoney(channel.rent / monthWeeks / Math.max(1, standing.get(channel.id) ?? 0) + byDay * weekDays)
  return { channel, fees, rentShare, weekly, price, kept: price && keptOf(price.ask, { whenDone, fees, tax }) }
}
function keptOf(ask: number, { whenDone, fees, tax }: { whenDone: Ledger; fees: Channel; tax: Tax }) {
  const net = roundMoney(netOf(ask, fees, tax))
  const taxed = taxOf(ask, tax)
  const earned = whenDone.hours > 0 ? roundMoney((net - whenDone.total) / whenDone.hours) : null
  return { fees: ask - net - taxed, tax: taxed, net, earned }
}

export interface ChannelView {
  ways: PriceWay[]
  goes: ReturnType<typeof sharesOf>
  ladder: Rung[]
}
/** What is shown of the place that is looked at: the ways to a price, where its ask goes, how it comes down. */
export function channelView(
  { whenDone, like, tax, areaM2 }: PriceDesk,
  { channel, fees, weekly, price }: ChannelDesk,
  terms: PricingTerms,
  article: string | null,
): ChannelView {
  const pricing: Pricing = terms.pricing ?? usualPricing
  const { total: cost, hours } = whenDone
  const judged = { cost, hours, rate: terms.hourRate, channel: fees, tax }
  return {
    ways: priceWays({ ...judged, pricing, target: price?.target ?? null, like, article, areaM2 }),
    goes: price ? sharesOf(price.ask, whenDone.lines, judged) : { shares: [], short: 0 },
    // there the rent is paid by the weeks that it stands
    ladder: price
      ? ladderOf(price.ask, pricing, {
          breakEven: leastPriceFor(cost, channel, tax) ?? price.breakEven,
          ...{ step: terms.step, weekly, cost, channel, tax },
        })
      : [],
  }
}
