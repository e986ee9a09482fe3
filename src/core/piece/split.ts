/**
 * A set that is parted: some of the alike ones leave as a piece of their own, with what was done on them and their share of
 * what was spent and worked. Shares go by painted area. Money in minor units; pure.
 */
import type { CostKind } from '@/core/log/entry'
import { isAhead } from '@/core/log/stepStates'
import { roundMoney } from '@/core/measure/money'
import type { PartId } from '@/core/measure/named'
import { areaOfPart } from './area'
import type { DoneStep, Journey, PartJourney } from './journey'
import { spentByKind } from './ledger'
import type { PlanStep } from './piece'

/** How many of a part leave, by the part's id; what is not named stays. */
export type Leaving = ReadonlyMap<PartId, number>

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

export type SplitFaultCode = 'nothing-leaves' | 'too-many' | 'nothing-stays'
export interface SplitFault {
  code: SplitFaultCode
  /** the part it is about; null where it is about all of them */
  partId: PartId | null
}
/** Why a set can't be parted so; null where it can. `parts`: how many there are of each. */
export function splitFault(parts: readonly { id: PartId; count: number }[], leaving: Leaving): SplitFault | null {
  const tooMany = parts.find(({ id, count }) => (leaving.get(id) ?? 0) > count)
  if (tooMany) return { code: 'too-many', partId: tooMany.id }
  const left = parts.map(({ id, count }) => ({ count, leaves: leaving.get(id) ?? 0 }))
  if (left.every(({ leaves }) => leaves === 0)) return { code: 'nothing-leaves', partId: null }
  return left.every(({ leaves, count }) => leaves === count) ? { code: 'nothing-stays', partId: null } : null
}

/** Whether a clock runs on what would leave: it is ended first. */
export const leavesRunning = ({ parts }: Pick<Journey, 'parts'>, leaving: Leaving): boolean =>
  parts.some(({ part, running }) => running !== null && (leaving.get(part.id) ?? 0) > 0)

/** Counts are whole and not below nothing; `leaving` has no {@link splitFault}. */
export function splitOff(journey: Journey, leaving: Leaving): Split {
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
  const costs = Object.fromEntries(
    [...spentByKind(journey)].flatMap(([kind, money]) => {
      const own = roundMoney(money * share)
      return own > 0 ? [[kind, own] as const] : []
    }),
  )
  return { parts, share, costs, minutes: Math.round(journey.minutesDone * share * 10) / 10 }
}
