/** A plan grown by the steps that mend a mistake: they come first, the rest of the way stays as it was. Pure. */
import type { HouseMethod } from '../finish/method'
import { withWindows, type FinishablePart, type FinishWish, type PlannedStep } from '../finish/planFinish'
import { getRepair, repairSteps, type RepairCode } from '../finish/repairs'
import type { Act } from '../stack/surface'

/** A step still ahead; one that mends names its snag. */
type PlanAhead = PlannedStep & { mends?: string | null }

/**
 * The mending, then what was ahead. A coat of it is laid in the colour that lies on top of what is done, unless the repair
 * makes a look of two colours anew.
 */
export function mend(
  code: RepairCode,
  part: FinishablePart,
  wish: FinishWish,
  done: readonly Act[],
  ahead: readonly PlanAhead[],
  method: HouseMethod,
): PlanAhead[] {
  const top = done.findLast(({ colour }) => colour !== null)?.colour
  const remakes = getRepair(code).steps.some(({ paint }) => paint === 'b')
  const mended = top && !remakes ? { ...wish, colours: { ...wish.colours, a: top } } : wish
  return withWindows([...repairSteps(code, part, mended, method), ...ahead], part, method)
}
