/** A part that stays as it is: not touched, cleaned as the house cleans, or cleaned and waxed. Pure. */
import type { HouseMethod } from '@/core/craft/method'
import type { OperationCode } from '@/core/craft/operations'
import { kindOf } from '@/core/craft/parts'
import { addedLine } from '@/core/craft/preparation'
import { canBeOn } from '@/core/craft/takes'
import { noWax } from '@/core/craft/topcoats'
import { type PlannedStep, toSteps, withWindows } from '@/core/finish/step'
import type { FinishablePart } from '@/core/finish/wish'
import type { Act } from '@/core/stack/surface'
import { inHouse } from './complete'
import { positionAfter } from './stepsAfter'

export const careKinds = ['untouched', 'cleaned', 'waxed'] as const
export type CareKind = (typeof careKinds)[number]

const works: Record<CareKind, readonly OperationCode[]> = {
  untouched: [],
  cleaned: ['clean', 'rinse'],
  waxed: ['clean', 'rinse', 'clear-wax', 'wax-off', 'buff'],
}

/** Whether it can be had here: wax stands no heat, water or weather, and not every material takes it. */
export const careFits = (care: CareKind, part: FinishablePart): boolean =>
  care !== 'waxed' || (!noWax.includes(part.use) && canBeOn('clear-wax', kindOf(part)))

/** Its steps after what was done; none where nothing is asked for. */
export function careSteps(part: FinishablePart, care: CareKind, method: HouseMethod, done: readonly Act[] = []): PlannedStep[] {
  const spirits = method.cleaner === 'spirits'
  const lines = works[care]
    .filter((operation) => canBeOn(operation, kindOf(part)) && !(spirits && operation === 'rinse'))
    .map((operation) => addedLine(inHouse({ operation }, method)))
  const steps = toSteps(part, lines, { method, primed: false, proves: false })
  return withWindows(steps.slice(positionAfter(steps, done)), part, method, done)
}
