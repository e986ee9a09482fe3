/** What a piece may come to cost, from where it stands: what the log says is certain, what its plan says is ahead scatters. Pure. */
import type { FamilyCode } from '@/core/craft/families'
import type { Estimator } from '@/core/learn/estimate'
import { overheadOf, usualPricing } from '@/core/price/pricing'
import type { SpreadAsk } from '@/core/price/spread'
import { materialsAhead, minutesAhead, usedUpAhead } from './ahead'
import type { Journey } from './journey'
import { type PricingTerms, spentByKind, workedInto } from './ledger'

/** how far what a coat takes comes to lie off what was planned, in logarithms. Practice. */
const takeScatter = 0.2
const draws = 20_000

interface Around {
  terms: PricingTerms
  unitPrice: Partial<Record<FamilyCode, number>>
  estimator: Estimator
  /** in the workshop until it is done */
  days: number
}
/** The question that {@link spreadOf} answers for a piece; the same piece asks the same. */
export function spreadAskOf(journey: Journey, { terms, unitPrice, estimator, days }: Around): SpreadAsk {
  const pricing = terms.pricing ?? usualPricing
  const { overheadPer, overheadShare } = pricing
  const spentSums = spentByKind(journey)
  const spent = [...spentSums.values()].reduce((sum, money) => sum + money, 0)
  const hoursDone = journey.minutesDone / 60
  const byShare = overheadPer === 'share' ? overheadShare : 0
  // an hour and a gram bear their overhead as they come; the days stand
  const isSure = overheadOf(terms.overheadRate, pricing, {
    hours: 0,
    days,
    labour: 0,
    material: workedInto(spentSums),
  })
  const money = [
    ...materialsAhead(journey, unitPrice).map(({ price }) => price ?? 0),
    ...usedUpAhead(journey, terms.consumables).map(({ money: each }) => each),
  ]
  return {
    spent: spent + isSure,
    hoursDone,
    hoursAhead: minutesAhead(journey, estimator).map(({ minutes }) => ({ hours: minutes / 60, scale: 0 })),
    whole: estimator.whole,
    moneyAhead: money.filter((each) => each > 0).map((each) => ({ money: each * (1 + byShare), scale: takeScatter })),
    rate: terms.hourRate,
    overheadRate: overheadPer === 'hour' ? terms.overheadRate : byShare * terms.hourRate,
    draws,
    seed: 1,
  }
}
