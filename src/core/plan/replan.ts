/**
 * The way on from the middle: what was done stays, the rest follows the new wish, and what the two need between them is put in
 * by the rules. Pure; nothing done is ever asked for twice.
 */
import { defaultMethod, type HouseMethod } from '@/core/craft/method'
import type { FinishRefusal } from '@/core/finish/refusal'
import type { PlannedStep } from '@/core/finish/step'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { usualHours, type WorkingHours } from '@/core/measure/workingHours'
import type { Act } from '@/core/stack/surface'
import { type Amount, amountDifference } from './amounts'
import { stepsOrRefusal } from './layers'
import { layOut } from './timeline'

/** The steps still ahead of a part, or why the wish can't be had. */
export function replan(
  part: FinishablePart,
  wish: FinishWish,
  done: readonly Act[],
  method: HouseMethod = defaultMethod,
): { steps: PlannedStep[] } | { refusal: FinishRefusal } {
  return stepsOrRefusal(part, wish, method, done)
}

export interface PlanDifference {
  added: PlannedStep[]
  dropped: PlannedStep[]
  /** more (or fewer) attended minutes than before */
  minutes: number
  /** more (or fewer) days, from now, than before */
  days: number
  /** more (or, negative, less) of each product than before */
  amounts: Amount[]
}
const nameOf = ({ operation, family, colour }: PlannedStep) => `${operation} ${family} ${colour?.hex}`

/** What a new rest of the way asks for that the old did not, and the other way round. */
export function differenceOf(
  before: readonly PlannedStep[],
  after: readonly PlannedStep[],
  hours: WorkingHours = usualHours,
): PlanDifference {
  const without = (list: readonly PlannedStep[], taken: readonly PlannedStep[]) => {
    const left = taken.map(nameOf)
    return list.filter((step) => {
      const at = left.indexOf(nameOf(step))
      if (at < 0) return true
      left.splice(at, 1)
      return false
    })
  }
  const sum = (list: readonly PlannedStep[]) => list.reduce((minutes, step) => minutes + step.minutes, 0)
  const days = (steps: readonly PlannedStep[]) => layOut([{ id: 'part', steps }], hours).days
  return {
    added: without(after, before),
    dropped: without(before, after),
    minutes: sum(after) - sum(before),
    days: days(after) - days(before),
    amounts: amountDifference(before, after),
  }
}
