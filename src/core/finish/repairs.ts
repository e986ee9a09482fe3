/** What goes wrong, and the way back: each mistake with its cause, and the steps that mend it. */
import { getOperation } from '../labour/operations'
import { defaultMethod, type HouseMethod } from './method'
import { toSteps, type FinishablePart, type FinishWish, type PlannedStep } from './planFinish'
import { colourRepairs } from './repairs/colour'
import { effectRepairs } from './repairs/effect'
import type { Repair } from './repairs/repair'
import { sealingRepairs } from './repairs/sealing'

export const repairs = { ...colourRepairs, ...effectRepairs, ...sealingRepairs } as const satisfies Record<string, Repair>

export type RepairCode = keyof typeof repairs
export const repairCodes = Object.keys(repairs) as RepairCode[]
export function getRepair(code: RepairCode): Repair {
  return repairs[code]
}

/** The steps that mend a mistake on this part, over the share of it that is usual. */
export function repairSteps(
  code: RepairCode,
  part: FinishablePart,
  wish: FinishWish,
  method: HouseMethod = defaultMethod,
): PlannedStep[] {
  const { steps, share } = getRepair(code)
  return toSteps({ ...part, areaM2: part.areaM2 * share, knots: 1 }, wish, steps, method).map((step) => ({
    ...step,
    check: step.check ?? getOperation(step.operation).check ?? null,
  }))
}
