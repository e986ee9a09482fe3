/**
 * The way on from the middle: what was done stays, the rest follows the new wish, and what the two need between them is put
 * in. Pure; nothing done is ever asked for twice.
 */
import { defaultMethod, type HouseMethod } from '@/core/craft/method'
import { getOperation } from '@/core/craft/operations'
import {
  type FinishablePart,
  type FinishWish,
  planFinish,
  type PlannedStep,
  toSteps,
  withWindows,
} from '@/core/finish/planFinish'
import type { FinishRefusal } from '@/core/finish/refusals'
import { usualHours, type WorkingHours } from '@/core/measure/workingHours'
import { checkStack } from '@/core/stack/checkStack'
import type { Act } from '@/core/stack/surface'
import { type Amount, amountDifference } from './amounts'
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

/** How often what is still missing may be put in before giving up. */
const mostBridges = 8

/** The steps still ahead of a part, or why the wish can't be had. */
export function replan(
  part: FinishablePart,
  wish: FinishWish,
  done: readonly Act[],
  method: HouseMethod = defaultMethod,
): { steps: PlannedStep[] } | { refusal: FinishRefusal } {
  const outcome = planFinish(part, wish, method)
  if ('refusal' in outcome) return outcome
  const { steps: whole } = outcome.plan
  let steps = whole.slice(positionAfter(whole, done))
  for (let k = 0; k < mostBridges; k += 1) {
    const conflicts = checkStack({ part, wish, method, acts: [...done, ...steps] })
    const bridged = conflicts.find(
      ({ severity, acts, remedies }) => severity !== 'advice' && remedies.length > 0 && (acts.at(-1) ?? -1) >= done.length,
    )
    const at = bridged ? (bridged.acts.at(-1) ?? 0) - done.length : -1
    const missing = bridged?.remedies.filter(({ operation }) => steps[at - 1]?.operation !== operation) ?? []
    if (!bridged || missing.length === 0) break
    const lines = missing.map(({ operation, family }) => ({
      phase: 'prep' as const,
      operation,
      ...(family && { family }),
      ...(operation === 'scuff' && { grit: '220, one light hand pass' }),
      reason: 'dust-defeats-paint' as const,
    }))
    const bridge = toSteps(part, wish, lines, method)
    steps = withWindows([...steps.slice(0, at), ...bridge, ...steps.slice(at)], part, method)
  }
  return { steps }
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
