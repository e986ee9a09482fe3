/** A plan grown by the steps that mend a mistake: they come first, the rest of the way stays as it was. Pure. */
import type { HouseMethod } from '../finish/method'
import type { FinishablePart, FinishWish, PlannedStep } from '../finish/planFinish'
import { repairSteps, type RepairCode } from '../finish/repairs'
import { getSubstrate } from '../finish/parts'
import { findStepWindow } from '../finish/windows'

/** The mending, then what was ahead; the last mending step waits for what follows it. */
export function mend(
  code: RepairCode,
  part: FinishablePart,
  wish: FinishWish,
  ahead: readonly PlannedStep[],
  method: HouseMethod,
): PlannedStep[] {
  const steps = repairSteps(code, part, wish, method)
  const last = steps.at(-1)
  const next = ahead[0]
  if (!last || !next) return [...steps, ...ahead]
  const around = { kind: getSubstrate(part.substrate).kind, method }
  const joined = { ...last, window: findStepWindow(last.operation, last.family, next.operation, around) }
  return [...steps.slice(0, -1), joined, ...ahead]
}
