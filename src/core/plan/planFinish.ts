/**
 * A part and a wanted look in, its steps out: the look's own touches and the topcoat, completed by the rules with all that must
 * come before, between and after, each with product, window, minutes, amount and reason; or a refusal that names the nearest
 * that can be had. Pure and deterministic.
 */
import { contrast, type Cover, enoughContrast, isPale } from '@/core/craft/colour'
import { mayHoldLead } from '@/core/craft/lead'
import type { Look } from '@/core/craft/looks'
import { defaultMethod, type HouseMethod } from '@/core/craft/method'
import { getExistingFinish, getSubstrate } from '@/core/craft/parts'
import type { Slot } from '@/core/craft/recipe'
import type { TopcoatCode } from '@/core/craft/topcoats'
import { isProven } from '@/core/finish/ground'
import { chooseTopcoat, colourLines, coverOf, isPrimed, looksOf, mergeRecipes } from '@/core/finish/lines'
import { findRefusal, type FinishRefusal } from '@/core/finish/refusals'
import { type PlannedStep, toSteps } from '@/core/finish/step'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { complete } from './complete'

export type AdviceCode =
  | 'low-contrast'
  | 'contrast-none'
  | 'knots-show'
  | 'test-lead'
  | 'wax-for-light-use'
  | 'prove-grip'
  | 'veneer-care'
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

/** What a wish wants laid on a part, as if on clean, sound ground: its looks' lines and its topcoat's. */
export function wantedSteps(part: FinishablePart, wish: FinishWish, method: HouseMethod, primed: boolean): PlannedStep[] {
  const looks = looksOf(wish)
  const seal = chooseTopcoat(part, wish, looks, method)
  const lines = colourLines(mergeRecipes(looks, seal), part, wish, method, seal, coverOf(part, wish, primed))
  return toSteps(part, wish, lines, { method, primed, proves: isProven(part, wish, method) })
}

/** The steps for one part, or why not. Throws on a colour value that is none. */
export function planFinish(
  part: FinishablePart,
  wish: FinishWish,
  method: HouseMethod = defaultMethod,
): { plan: FinishPlan } | { refusal: FinishRefusal } {
  const refusal = findRefusal(part, wish)
  if (refusal) return { refusal }
  const plan = (primed: boolean) =>
    complete({ part, wish, method, done: [], wanted: wantedSteps(part, wish, method, primed) }).steps
  const unprimed = plan(false)
  // over a primer colours cover otherwise, and milk paint is mixed otherwise
  const primed = isPrimed(unprimed)
  const steps = primed ? plan(true) : unprimed
  const looks = looksOf(wish)
  const seal = chooseTopcoat(part, wish, looks, method)
  return { plan: { steps, seal, cover: coverOf(part, wish, primed), advice: adviceFor(part, wish, looks, seal, method) } }
}

function adviceFor(
  part: FinishablePart,
  wish: FinishWish,
  looks: readonly Look[],
  seal: TopcoatCode,
  method: HouseMethod,
): AdviceCode[] {
  const substrate = getSubstrate(part.substrate)
  const { a, b } = wish.colours
  const distance = looks.some(({ slots }) => slots.length === 2) && a && b ? contrast(a.hex, b.hex) : Infinity
  const given: [AdviceCode, boolean][] = [
    ['contrast-none', distance < 0.03],
    ['low-contrast', distance >= 0.03 && distance < enoughContrast],
    ['knots-show', substrate.knotty === true && looks.some(({ bareWood }) => bareWood)],
    ['test-lead', mayHoldLead(part)],
    [
      'test-wax',
      (part.polish ?? 'unknown') === 'unknown' &&
        getExistingFinish(part.existing).layer === 'oldClear' &&
        !['wax', 'unknown'].includes(part.existing),
    ],
    ['wax-for-light-use', part.use === 'light' && seal === 'wax'],
    ['prove-grip', isProven(part, wish, method)],
    ['veneer-care', substrate.veneer === true && looks.some(({ bareWood, abrades }) => bareWood || abrades)],
    ['chips-as-it-likes', looks.some(({ chips }) => chips)],
    [
      'pale-over-tannin',
      seal === 'clear' && substrate.bleeds === true && a !== undefined && isPale(a.hex) && looks.some(({ bareWood }) => bareWood),
    ],
    ['children-label', part.use === 'heavy'],
  ]
  return given.filter(([, holds]) => holds).map(([code]) => code)
}
