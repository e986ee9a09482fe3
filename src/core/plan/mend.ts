/** A plan grown by the steps that mend a mistake: they come first, the rest of the way stays as it was. Pure. */
import type { HouseMethod } from '@/core/craft/method'
import { getRemedy, type RemedyCode } from '@/core/craft/remedies'
import { remedySteps } from '@/core/finish/remedySteps'
import { type PlannedStep, withWindows } from '@/core/finish/step'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import type { Act } from '@/core/stack/surface'

/** A step still ahead; one that mends names its snag. */
type PlanAhead = PlannedStep & { mends?: string | null }

/**
 * The mending, then what was ahead. A coat of it is laid in the colour that lies on top of what is done, unless the repair
 * makes a look of two colours anew.
 */
export function mend(
  code: RemedyCode,
  part: FinishablePart,
  wish: FinishWish,
  done: readonly Act[],
  ahead: readonly PlanAhead[],
  method: HouseMethod,
): PlanAhead[] {
  const top = done.findLast(({ colour }) => colour !== null)?.colour
  const remakes = getRemedy(code).steps.some(({ paint }) => paint === 'b')
  const mended = top && !remakes ? { ...wish, colours: { ...wish.colours, a: top } } : wish
  return withWindows([...remedySteps(code, part, mended, method), ...ahead], part, method)
}
