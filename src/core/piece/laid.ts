/** What a step laid, of which tin, and what that tin's label says of it. Pure. */
import { labelOf, type LaidOf } from '@/core/craft/label'
import type { Range } from '@/core/drying/windowFor'
import type { Learned } from '@/core/learn/learned'
import type { StepState } from '@/core/log/stepStates'
import type { PlanStep } from './piece'

/** What was laid, of which tin: as it was written down. */
export const laidOf = (step: PlanStep, { coat }: StepState): LaidOf => ({
  ...{ family: step.family, colour: step.colour, sheen: coat?.coat.sheen ?? step.sheen },
  productId: coat?.coat.productId,
})
/** The days that its label gives it, where it says so. */
export const cureOf = ({ step, state }: { step: PlanStep; state: StepState }, { labels = [] }: Learned): Range | undefined =>
  labelOf(labels, laidOf(step, state))?.cureDays
