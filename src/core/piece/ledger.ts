/**
 * What a piece has cost so far and what it will have cost when it is done, and the prices that follow. Minor units; pure.
 */
import { isAhead } from '../log/stepStates'
import { roundMoney } from '../money/money'
import {
  priceFor,
  PriceImpossible,
  earnedRate,
  type Channel,
  type CostLine,
  type Price,
  type Tax,
  type Wish,
} from '../price/priceFor'
import type { CostKind } from '../log/entry'
import type { Journey } from './journey'
import type { FamilyCode } from '../finish/families'

export type LedgerKind = CostKind | 'overhead'
export interface LedgerLine extends CostLine {
  kind: LedgerKind
}
export interface Terms {
  /** labour, money per hour */
  hourRate: number
  /** rent, power and the like, money per hour of work */
  overheadRate: number
  taxMode: Tax['mode']
  taxShare: number
  wish: Wish
  haggle: number
  step: number
}
export interface Ledger {
  lines: LedgerLine[]
  total: number
  hours: number
}

/** Tax with the margin scheme's buying price filled in. */
export function taxFor(terms: Terms, bought: number): Tax {
  if (terms.taxMode === 'none') return { mode: 'none' }
  return terms.taxMode === 'inclusive'
    ? { mode: 'inclusive', share: terms.taxShare }
    : { mode: 'margin', share: terms.taxShare, bought }
}

const order: readonly LedgerKind[] = [
  'bought',
  'fetching',
  'materials',
  'consumables',
  'hardware',
  'overhead',
  'delivery',
  'other',
]

function ledger(sums: Map<LedgerKind, number>, minutes: number, terms: Terms): Ledger {
  const hours = Math.round((minutes / 60) * 100) / 100
  const withOverhead = new Map(sums).set('overhead', roundMoney(hours * terms.overheadRate))
  const lines = order.flatMap((kind) => {
    const amount = withOverhead.get(kind) ?? 0
    return amount === 0 ? [] : [{ kind, amount }]
  })
  return { lines, hours, total: lines.reduce((sum, line) => sum + line.amount, 0) }
}

function loggedSums(journey: Journey): Map<LedgerKind, number> {
  const sums = new Map<LedgerKind, number>()
  for (const entry of journey.log) {
    const kind = entry.kind === 'coat' ? 'materials' : entry.kind === 'cost' ? entry.costKind : null
    if (kind && entry.money !== null) sums.set(kind, (sums.get(kind) ?? 0) + entry.money)
  }
  return sums
}

/** What the log says has been spent. */
export const ledgerSoFar = (journey: Journey, terms: Terms): Ledger => ledger(loggedSums(journey), journey.minutesDone, terms)

/**
 * What it will have cost when the plan is done: spent, plus planned amounts at `unitPrice` (money per ml or g; nothing where
 * the shelf has no price), plus the minutes still to come.
 */
export function ledgerWhenDone(journey: Journey, terms: Terms, unitPrice: Partial<Record<FamilyCode, number>>): Ledger {
  const sums = loggedSums(journey)
  const ahead = journey.parts
    .flatMap(({ steps }) => steps)
    .filter(({ state }) => state.coat === null && isAhead(state))
    .reduce(
      (sum, { step }) => sum + (step.family && step.amount ? roundMoney(step.amount * (unitPrice[step.family] ?? 0)) : 0),
      0,
    )
  sums.set('materials', (sums.get('materials') ?? 0) + ahead)
  return ledger(sums, journey.minutesDone + journey.minutesLeft, terms)
}

export const boughtIn = (lines: readonly LedgerLine[]): number => lines.find(({ kind }) => kind === 'bought')?.amount ?? 0

/** Every price for a ledger, or the reason there is none. */
export function pricesFor(
  book: Ledger,
  terms: Terms,
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
export function earnedBy(book: Ledger, terms: Terms, price: number, fees: number): { left: number; perHour: number | null } {
  const channel = { feeShare: 0, feeFixed: fees }
  const tax = taxFor(terms, boughtIn(book.lines))
  const oneHour = earnedRate(price, book.total, 1, channel, tax) ?? 0
  return { left: oneHour, perHour: earnedRate(price, book.total, book.hours, channel, tax) }
}
