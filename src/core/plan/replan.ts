/**
 * The way on from the middle: what was done stays, the rest follows the new wish, and what the two need between them is put in
 * by the rules. Pure; nothing done is ever asked for twice.
 */
import { defaultMethod, type HouseMethod } from '@/core/craft/method'
import { getOperation } from '@/core/craft/operations'
import { isPrimed } from '@/core/finish/lines'
import { findRefusal, type FinishRefusal } from '@/core/finish/refusals'
import type { PlannedStep } from '@/core/finish/step'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { usualHours, type WorkingHours } from '@/core/measure/workingHours'
import type { Act } from '@/core/stack/surface'
import { type Amount, amountDifference } from './amounts'
import { complete } from './complete'
import { wantedSteps } from './planFinish'
import { layOut } from './timeline'

const colourless = (act: Act) => ['intake', 'repair', 'prep', 'prime'].includes(getOperation(act.operation).stage)
/** The same work: a preparation whatever the product, anything else in its product and colour. */
const same = (one: Act, other: Act) =>
  one.operation === other.operation && (colourless(one) || (one.family === other.family && one.colour?.hex === other.colour?.hex))

/**
 * Where a new plan goes on after what was done: the position after the last of its steps that is behind. A coat of colour
 * that has not been laid is never passed over, whatever was done after it.
 */
export function positionAfter(steps: readonly Act[], done: readonly Act[]): number {
  let position = 0
  for (const act of done) {
    const found = steps.findIndex((step, k) => k >= position && same(step, act))
    if (found >= 0 && steps.slice(position, found).every(({ colour }) => colour === null)) position = found + 1
  }
  return position
}

/** The steps still ahead of a part, or why the wish can't be had. */
export function replan(
  part: FinishablePart,
  wish: FinishWish,
  done: readonly Act[],
  method: HouseMethod = defaultMethod,
): { steps: PlannedStep[] } | { refusal: FinishRefusal } {
  const refusal = findRefusal(part, wish)
  if (refusal) return { refusal }
  const plan = (primed: boolean) => {
    const whole = wantedSteps(part, wish, method, primed)
    return complete({ part, wish, method, done, wanted: whole.slice(positionAfter(whole, done)) }).steps
  }
  const first = plan(isPrimed(done))
  return { steps: !isPrimed(done) && isPrimed(first) ? plan(true) : first }
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
