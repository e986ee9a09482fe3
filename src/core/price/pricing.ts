/** What a house makes its prices by, beside an hour's rate. Money in minor units, shares as decimals; pure. */
import { roundMoney } from '@/core/measure/money'

export const overheadRules = {
  hour: 'by the hour that is worked',
  day: 'by the day in the workshop',
  share: 'as a share of work and material',
} as const
export type OverheadRule = keyof typeof overheadRules

/** A line of the rate card: what an article of up to so many painted m² is asked for. */
export interface Rate {
  article: string
  /** null: of any size */
  upToM2: number | null
  price: number
}
export interface Pricing {
  /** what cost plus puts on top of costs and hours */
  markup: number
  overheadPer: OverheadRule
  /** money a day in the workshop, where overhead goes by the day */
  overheadDay: number
  /** of work and material, where it goes by a share */
  overheadShare: number
  /** where a piece does not sell: every so many weeks, so much off the first ask */
  ladderWeeks: number
  ladderShare: number
  rates: readonly Rate[]
  /** what stands at the head of an invoice: where the studio is, its number for tax */
  letterhead: string
}
/** As a house begins; every figure is its own to change. */
export const usualPricing: Pricing = {
  markup: 0.25,
  overheadPer: 'hour',
  overheadDay: 0,
  overheadShare: 0,
  ladderWeeks: 4,
  ladderShare: 0.1,
  rates: [],
  letterhead: '',
}

export interface OverheadBase {
  hours: number
  days: number
  /** what the hours come to at their rate, and what went into the piece beside its price */
  labour: number
  material: number
}
/** What a piece bears of rent, power and the like, rounded. `overheadRate`: money an hour. */
export function overheadOf(
  overheadRate: number,
  { overheadPer, overheadDay, overheadShare }: Pricing,
  base: OverheadBase,
): number {
  const rules: Record<OverheadRule, number> = {
    hour: base.hours * overheadRate,
    day: base.days * overheadDay,
    share: overheadShare * (base.labour + base.material),
  }
  return roundMoney(rules[overheadPer])
}

/** What the rate card asks for an article of so many m²; the smallest size that holds it, null where no line does. */
export function rateFor(rates: readonly Rate[], article: string | null, areaM2: number): Rate | null {
  const [found] = rates
    .filter((rate) => rate.article === article && (rate.upToM2 === null || areaM2 <= rate.upToM2))
    .sort((one, other) => (one.upToM2 ?? Infinity) - (other.upToM2 ?? Infinity))
  return found ?? null
}

/** A month's rent spread over what the place sells: of the sales of the months looked back on; one a month where none is known. */
export function rentEach(rent: number, sales: number, months: number): number {
  return roundMoney(rent / Math.max(1, months > 0 ? sales / months : 0))
}
