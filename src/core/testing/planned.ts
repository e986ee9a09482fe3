/** A plan that a test takes for granted. */
import type { HouseMethod } from '@/core/craft/method'
import type { PlannedStep } from '@/core/finish/step'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { planFinish } from '@/core/plan/planFinish'

/** The steps of a wish on a part; throws where it is refused. */
export function plannedSteps(part: FinishablePart, wish: FinishWish, method?: HouseMethod): PlannedStep[] {
  const outcome = planFinish(part, wish, method)
  if ('refusal' in outcome) throw new Error(`refused: ${outcome.refusal.code}`)
  return outcome.plan.steps
}
