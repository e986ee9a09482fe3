/**
 * A set that is parted: some of the alike ones leave as a piece of their own, with what was done on them and their share of
 * what was spent and worked. Shares go by painted area. Money in minor units; pure.
 */
import { roundMoney } from '@/core/measure/money'
import type { CostKind } from '@/core/log/entry'
import { isAhead } from '@/core/log/stepStates'
import { areaOfPart } from './area'
import { spentByKind } from './ledger'
import type { DoneStep, Journey, PartJourney } from './journey'
import type { PlanStep } from './piece'

/** How many of a part leave, by the part's id; what is not named stays. */
export type Leaving = ReadonlyMap<string, number>

export interface PartSplit {
  journey: PartJourney
  leaves: number
  stays: number
  /** what was done, for the record of what leaves */
  done: DoneStep[]
  /** what is ahead, for those that leave and those that stay, with their share of minutes and amounts */
  aheadThere: PlanStep[]
  aheadHere: PlanStep[]
}
export interface Split {
  parts: PartSplit[]
  /** of the whole piece's area */
  share: number
  costs: Partial<Record<CostKind, number>>
  minutes: number
}

const scaled = (step: PlanStep, share: number): PlanStep => ({
  ...step,
  minutes: Math.max(1, Math.round(step.minutes * share)),
  amount: step.amount === null ? null : Math.max(1, Math.round(step.amount * share)),
})

/** Null where nothing would leave, nothing would stay, more would leave than there is, or a clock runs on what leaves. */
export function splitOff(journey: Journey, leaving: Leaving): Split | null {
  const parts = journey.parts.flatMap((each): PartSplit[] => {
    const leaves = leaving.get(each.part.id) ?? 0
    if (leaves === 0) return []
    const { count } = each.part
    const ahead = each.steps.filter(({ state }) => isAhead(state)).map(({ step }) => step)
    return [
      {
        journey: each,
        leaves,
        stays: count - leaves,
        done: each.done,
        aheadThere: ahead.map((step) => scaled(step, leaves / count)),
        aheadHere: ahead.map((step) => scaled(step, (count - leaves) / count)),
      },
    ]
  })
  const area = journey.parts.reduce((sum, { part }) => sum + areaOfPart(part), 0)
  const left = parts.reduce((sum, { journey: { part }, leaves }) => sum + (areaOfPart(part) * leaves) / part.count, 0)
  const share = area > 0 ? left / area : 0
  const possible = parts.every(
    ({ journey: { running }, leaves, stays }) => !running && Number.isInteger(leaves) && leaves > 0 && stays >= 0,
  )
  if (parts.length === 0 || !possible || share >= 1 - 1e-9) return null
  const costs = Object.fromEntries(
    [...spentByKind(journey)].flatMap(([kind, money]) => {
      const own = roundMoney(money * share)
      return own > 0 ? [[kind, own] as const] : []
    }),
  )
  return { parts, share, costs, minutes: Math.round(journey.minutesDone * share * 10) / 10 }
}
