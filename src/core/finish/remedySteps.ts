/** The steps that mend a mistake on a part. Pure. */
import { defaultMethod, type HouseMethod } from '@/core/craft/method'
import { getOperation } from '@/core/craft/operations'
import { getRemedy, type RemedyCode } from '@/core/craft/remedies'
import { type PlannedStep, toSteps } from './step'
import type { FinishablePart, FinishWish } from './wish'

/** The steps that mend a mistake on this part, over the share of it that is usual. */
export function remedySteps(
  code: RemedyCode,
  part: FinishablePart,
  wish: FinishWish,
  method: HouseMethod = defaultMethod,
): PlannedStep[] {
  const { steps, share } = getRemedy(code)
  return toSteps({ ...part, areaM2: part.areaM2 * share, knots: 1 }, wish, steps, { method, primed: true, proves: false }).map(
    (step) => ({
      ...step,
      check: step.check ?? getOperation(step.operation).check ?? null,
    }),
  )
}
