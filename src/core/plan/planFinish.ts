/**
 * A part and a wanted look in, its steps out: the look's own touches and the topcoat, completed by the rules with all that must
 * come before, between and after, each with product, window, minutes, amount and reason; or a refusal that names the nearest
 * that can be had. Pure and deterministic.
 */
import { type Cover, enoughContrast, isPale } from '@/core/craft/colour'
import { mayHoldLead } from '@/core/craft/lead'
import { defaultMethod, type HouseMethod } from '@/core/craft/method'
import { getExistingFinish, getSubstrate } from '@/core/craft/parts'
import type { Slot } from '@/core/craft/recipe'
import type { TopcoatCode } from '@/core/craft/topcoats'
import { isProven } from '@/core/finish/ground'
import { coverOf, isPrimed, orderedTouches } from '@/core/finish/lines'
import type { FinishRefusal } from '@/core/finish/refusal'
import { seenContrast } from '@/core/finish/seen'
import type { PlannedStep } from '@/core/finish/step'
import { chooseTopcoat } from '@/core/finish/topcoat'
import type { LookTouch } from '@/core/finish/touch'
import { aimsOf } from '@/core/finish/touches'
import { type FinishablePart, type FinishWish, looksOf } from '@/core/finish/wish'
import { stepsOrRefusal } from './layers'

export type AdviceCode =
  | 'low-contrast'
  | 'contrast-none'
  | 'knots-show'
  | 'test-lead'
  | 'wax-for-light-use'
  | 'prove-grip'
  | 'veneer-care'
  | 'wears-to-primer'
  | 'chips-as-it-likes'
  | 'pale-over-tannin'
  | 'children-label'
  | 'test-wax'
export interface FinishPlan {
  steps: PlannedStep[]
  advice: AdviceCode[]
  seal: TopcoatCode
  /** how many coats each colour needs, and why */
  cover: Partial<Record<Slot, Cover>>
}

/** The steps for one part, or why not. Throws on a colour value that is none. */
export function planFinish(
  part: FinishablePart,
  wish: FinishWish,
  method: HouseMethod = defaultMethod,
): { plan: FinishPlan } | { refusal: FinishRefusal } {
  const outcome = stepsOrRefusal(part, wish, method, [])
  if ('refusal' in outcome) return outcome
  const { steps } = outcome
  const seal = chooseTopcoat(part, wish, method)
  const touches = orderedTouches(part, wish, method, seal)
  const cover = coverOf(part, touches, isPrimed(steps))
  const bySlot = touches.flatMap(({ id, slot }) => (slot && cover[id] ? [[slot, cover[id]]] : []))
  return {
    plan: { steps, seal, cover: Object.fromEntries(bySlot), advice: adviceFor(part, wish, touches, seal, method, steps) },
  }
}

function adviceFor(
  part: FinishablePart,
  wish: FinishWish,
  touches: readonly LookTouch[],
  seal: TopcoatCode,
  method: HouseMethod,
  steps: readonly PlannedStep[],
): AdviceCode[] {
  const substrate = getSubstrate(part.substrate)
  const { bareWood, abrades, chips } = aimsOf(touches)
  const first = touches.find(({ colour }) => colour)?.colour
  const distance = seenContrast(part, touches)
  const given: [AdviceCode, boolean][] = [
    ['contrast-none', distance < 0.03],
    ['low-contrast', distance >= 0.03 && distance < enoughContrast],
    ['knots-show', substrate.knotty === true && bareWood],
    ['test-lead', mayHoldLead(part)],
    [
      'test-wax',
      (part.polish ?? 'unknown') === 'unknown' &&
        getExistingFinish(part.existing).layer === 'oldClear' &&
        !['wax', 'unknown'].includes(part.existing),
    ],
    ['wax-for-light-use', part.use === 'light' && seal === 'wax'],
    ['prove-grip', isProven(part, wish, method)],
    ['veneer-care', substrate.veneer === true && (bareWood || abrades)],
    ['wears-to-primer', looksOf(wish).some(({ wear }) => wear === 'through') && isPrimed(steps)],
    ['chips-as-it-likes', chips],
    ['pale-over-tannin', seal === 'clear' && substrate.bleeds === true && first !== undefined && isPale(first.hex) && bareWood],
    ['children-label', part.use === 'heavy'],
  ]
  return given.filter(([, holds]) => holds).map(([code]) => code)
}
