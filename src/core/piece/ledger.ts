/**
 * What a piece has cost so far and what it will have cost when it is done, and the prices that follow. Minor units; pure.
 */
import { consumableKind, type ConsumablePrices } from '@/core/craft/consumables'
import type { FamilyCode } from '@/core/craft/families'
import type { Estimator } from '@/core/learn/estimate'
import { type CostKind, ofKind } from '@/core/log/entry'
import { roundMoney } from '@/core/measure/money'
import {
  type Channel,
  type CostLine,
  earnedRate,
  type Price,
  priceFor,
  PriceImpossible,
  type Tax,
  type Wish,
} from '@/core/price/priceFor'
import { overheadOf, type Pricing, usualPricing } from '@/core/price/pricing'
import { materialsAhead, minutesAhead, usedUpAhead } from './ahead'
import type { Journey } from './journey'
import { stepsOf } from './work'

export type LedgerKind = CostKind | 'overhead'
export interface LedgerLine extends CostLine {
  kind: LedgerKind
}
export interface PricingTerms {
  /** labour, money per hour */
  hourRate: number
  /** rent, power and the like, money per hour of work */
  overheadRate: number
  taxMode: Tax['mode']
  taxShare: number
  wish: Wish
  haggle: number
  step: number
  /** what small things cost; none is counted ahead without */
  consumables?: ConsumablePrices | undefined
  /** how overhead is shared out, and what else a house's prices go by; as a house begins where it isn't said */
  pricing?: Pricing | undefined
}
export interface Ledger {
  lines: LedgerLine[]
  total: number
  hours: number
}

/** Tax with the margin scheme's buying price filled in. */
export function taxFor(terms: PricingTerms, bought: number): Tax {
  if (terms.taxMode === 'none') return { mode: 'none' }
  return terms.taxMode === 'inclusive'
    ? { mode: 'inclusive', share: terms.taxShare }
    : { mode: 'margin', share: terms.taxShare, bought }
}

/** As they stand on a sheet of costs. */
export const ledgerKinds: readonly LedgerKind[] = [
  'bought',
  'fetching',
  'materials',
  'consumables',
  'hardware',
  'overhead',
  'delivery',
  'other',
]

/** What went into a piece beside its price and what it took to get it here. */
const workedIn = ['materials', 'consumables', 'hardware'] as const satisfies readonly LedgerKind[]
export const workedInto = (sums: ReadonlyMap<LedgerKind, number>): number =>
  workedIn.reduce((sum, kind) => sum + (sums.get(kind) ?? 0), 0)

function ledger(sums: ReadonlyMap<LedgerKind, number>, minutes: number, days: number, terms: PricingTerms): Ledger {
  const hours = Math.round((minutes / 60) * 100) / 100
  const overhead = overheadOf(terms.overheadRate, terms.pricing ?? usualPricing, {
    hours,
    days,
    labour: roundMoney(hours * terms.hourRate),
    material: workedInto(sums),
  })
  const withOverhead = new Map<LedgerKind, number>(sums).set('overhead', overhead)
  const lines = ledgerKinds.flatMap((kind) => {
    const amount = withOverhead.get(kind) ?? 0
    return amount === 0 ? [] : [{ kind, amount }]
  })
  return { lines, hours, total: lines.reduce((sum, line) => sum + line.amount, 0) }
}

/** What the log says was spent, by what for. */
export function spentByKind(journey: Journey): Map<CostKind, number> {
  const sums = new Map<CostKind, number>()
  const add = (kind: CostKind, money: number) => sums.set(kind, (sums.get(kind) ?? 0) + money)
  for (const { money } of ofKind(journey.log, 'coat')) add('materials', money)
  // two who ended one step used it up once
  const ends = new Map(ofKind(journey.log, 'ended').map((entry) => [entry.stepId, entry.money ?? 0]))
  const steps = ends.size > 0 ? stepsOf(journey.file) : null
  for (const [stepId, money] of ends) {
    const operation = steps?.get(stepId)?.operation
    if (money > 0) add(operation ? consumableKind(operation) : 'consumables', money)
  }
  // what was kept is paid by whatever it is laid on
  for (const { rest, money } of ofKind(journey.log, 'put-by')) if (rest.lotId === null) add('materials', money)
  for (const { costKind, money } of ofKind(journey.log, 'cost')) add(costKind, money)
  // what went over with a part of a set, or came with it
  for (const { detail } of ofKind(journey.log, 'split'))
    for (const [kind, money] of Object.entries(detail.costs)) add(kind as CostKind, detail.sign * money)
  return sums
}

const dayMs = 86_400_000
/** Days that a piece has stood in the workshop, begun ones counted; until it left, where it did. */
export function daysHere({ file, ending }: Pick<Journey, 'file' | 'ending'>, nowMs: number): number {
  const until = ending ? Date.parse(ending.entry.at) : nowMs
  return Math.max(0, Math.ceil((until - Date.parse(file.piece.takenInAt)) / dayMs))
}
/** What the log says has been spent; `days` in the workshop, where overhead goes by them. */
export const ledgerSoFar = (journey: Journey, terms: PricingTerms, days = 0): Ledger =>
  ledger(spentByKind(journey), journey.minutesDone, days, terms)

/** Planned coats without a price, and parts without a finish: what the sum of a whole plan leaves out. */
export interface LeftOut {
  /** coats ahead of products that the shelf has no price for */
  unpricedAhead: number
  /** coats laid that were taken from no tin */
  unpricedDone: number
  families: FamilyCode[]
  /** parts that no finish was chosen for */
  unplanned: string[]
}

/**
 * What it will have cost when the plan is done: spent, plus planned amounts at `unitPrice` (money per ml or g), plus the minutes
 * still to come. What has no price counts as nothing and is told by {@link leftOutOf}. `days`: in the workshop until then.
 */
export function ledgerWhenDone(
  journey: Journey,
  terms: PricingTerms,
  unitPrice: Partial<Record<FamilyCode, number>>,
  { days = 0, estimator }: { days?: number; estimator?: Estimator | undefined } = {},
): Ledger {
  const sums = spentByKind(journey)
  const ahead = materialsAhead(journey, unitPrice).reduce((sum, { price }) => sum + (price ?? 0), 0)
  sums.set('materials', (sums.get('materials') ?? 0) + ahead)
  for (const { kind, money } of usedUpAhead(journey, terms.consumables)) sums.set(kind, (sums.get(kind) ?? 0) + money)
  const left = estimator ? minutesAhead(journey, estimator).reduce((sum, { minutes }) => sum + minutes, 0) : journey.minutesLeft
  return ledger(sums, journey.minutesDone + left, days, terms)
}

/** What a ledger leaves out, so that it can be said beside it. */
export function leftOutOf(journey: Journey, unitPrice: Partial<Record<FamilyCode, number>>): LeftOut {
  const bare = materialsAhead(journey, unitPrice).filter(({ price }) => price === null)
  const untold = ofKind(journey.log, 'coat').filter(({ coat, money }) => coat.productId === null && money === 0)
  return {
    unpricedAhead: new Set(bare.map(({ stepId }) => stepId)).size,
    unpricedDone: untold.length,
    families: [...new Set([...bare.map(({ family }) => family), ...untold.map(({ coat }) => coat.family)])],
    unplanned: journey.parts.filter(({ part }) => part.plan === null).map(({ part }) => part.name),
  }
}

export const boughtIn = (lines: readonly LedgerLine[]): number => lines.find(({ kind }) => kind === 'bought')?.amount ?? 0

/** Every price for a ledger, or the reason there is none. */
export function pricesOfLedger(
  book: Ledger,
  terms: PricingTerms,
  channel: Channel,
  extra: { expected?: number | undefined; price?: number | undefined },
): { price: Price } | { issue: 'no-price-meets-it' } {
  try {
    const tax = taxFor(terms, boughtIn(book.lines))
    const { hourRate: rate, wish, haggle, step } = terms
    return { price: priceFor({ costs: book.lines, hours: book.hours, rate, channel, tax, wish, haggle, step, ...extra }) }
  } catch (error) {
    if (error instanceof PriceImpossible) return { issue: 'no-price-meets-it' }
    throw error
  }
}

/** What a sale brought: after tax, the fees really taken and everything spent. `perHour` is null without hours. */
export function earnedBy(
  book: Ledger,
  terms: PricingTerms,
  price: number,
  fees: number,
): { left: number; perHour: number | null } {
  const channel = { feeShare: 0, feeFixed: fees }
  const tax = taxFor(terms, boughtIn(book.lines))
  const oneHour = earnedRate(price, book.total, 1, channel, tax) ?? 0
  return { left: oneHour, perHour: earnedRate(price, book.total, book.hours, channel, tax) }
}

/**
 * Whether the floor, which pays every hour its rate, lies above the price that meets the wish, or even above the ask: it does
 * where less is wished for an hour than an hour costs.
 */
export const floorAbove = ({ floor, target, ask }: Price): 'target' | 'ask' | null =>
  floor <= target ? null : floor > ask ? 'ask' : 'target'
