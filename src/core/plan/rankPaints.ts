/**
 * Which paint for this part, this look and this use, and why: every paint that can be had, planned, in the order in which a painter
 * who counts hours, days, money and risk would take them. Pure.
 */
import { type FamilyCode, getFamily, paintCodes } from '@/core/craft/families'
import type { HouseMethod } from '@/core/craft/method'
import type { OperationCode } from '@/core/craft/operations'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { inPaint } from './alternatives'
import { figuresOf, type HouseResources, type PlanFigures } from './figures'
import { type FinishPlan, planFinish } from './planFinish'

/** What speaks for a paint here, and what against it. */
export const paintReasonCodes = [
  'grips',
  'wants-scuff',
  'wants-key',
  'wants-primer',
  'seals-itself',
  'wants-topcoat',
  'lifts-with-water',
  'water-moves-it',
  'no-water',
  'wears-soon',
  'wears-after-night',
  'wears-damp',
  'mixed-from-powder',
  'mixed-at-home',
  'on-the-shelf',
  'to-buy',
  'chips-by-itself',
] as const
export type PaintReason = (typeof paintReasonCodes)[number]

export interface RankedPaint {
  paint: FamilyCode
  wish: FinishWish
  figures: PlanFigures
  reasons: PaintReason[]
  /** hours, days, money, errands and risk together, as so many minutes of work; the least stands first */
  burden: number
}

/** Minutes that a painter gives for one day less, an errand less, a risk less, an easier hand, a short window less. Practice. */
const worth = { day: 30, errand: 40, risk: 20, skill: 15, hurried: 15 }

function burdenOf(figures: PlanFigures, { hourRate }: HouseResources): number {
  const { minutes, days, materials, lacking, risks, skill, hurried } = figures
  return (
    minutes +
    worth.day * (days - 1) +
    worth.errand * lacking.length +
    worth.risk * risks.length +
    worth.skill * (skill - 1) +
    worth.hurried * hurried +
    // where the house gives its hours no rate, money is not weighed against them
    (hourRate > 0 ? (materials / hourRate) * 60 : 0)
  )
}

function reasonsFor(paint: FamilyCode, { steps, seal }: FinishPlan, lacking: readonly FamilyCode[]): PaintReason[] {
  const { grips, rewets, waterShare } = getFamily(paint)
  const has = (...codes: OperationCode[]) => steps.some(({ operation }) => codes.includes(operation))
  const primed = has('adhesion-prime')
  const damp = has('wet-distress')
  const wear = steps.find((_, k) => ['dry-distress', 'scrape-distress'].includes(steps[k + 1]?.operation ?? ''))?.window
  const holds: [PaintReason, boolean][] = [
    ['wants-primer', primed],
    ['grips', grips === 'most' && !primed],
    ['wants-scuff', grips === 'scuffed' && !primed],
    ['wants-key', grips === 'keyed' && !primed],
    ['seals-itself', seal === 'none'],
    ['wants-topcoat', seal !== 'none'],
    ['lifts-with-water', rewets === 'freely'],
    ['water-moves-it', rewets === 'slightly'],
    ['no-water', waterShare === 0],
    ['wears-damp', damp],
    ['wears-soon', !damp && (wear?.opens[0] ?? Infinity) <= 120],
    ['wears-after-night', !damp && (wear?.opens[0] ?? 0) >= 480],
    ['chips-by-itself', has('brush-off-flakes')],
    ['mixed-from-powder', paint === 'casein'],
    ['mixed-at-home', paint === 'home-chalky'],
    ['on-the-shelf', !lacking.includes(paint)],
    ['to-buy', lacking.includes(paint)],
  ]
  return holds.filter(([, so]) => so).map(([code]) => code)
}

/** The paints that this wish can be had in, the one that asks for the least first. */
export function rankPaints(part: FinishablePart, wish: FinishWish, method: HouseMethod, means: HouseResources): RankedPaint[] {
  return paintCodes
    .flatMap((paint): RankedPaint[] => {
      const own = inPaint(wish, paint)
      const outcome = planFinish(part, own, method)
      if ('refusal' in outcome) return []
      const figures = figuresOf(outcome.plan.steps, means)
      const reasons = reasonsFor(paint, outcome.plan, figures.lacking)
      return [{ paint, wish: own, figures, reasons, burden: burdenOf(figures, means) }]
    })
    .sort((a, b) => a.burden - b.burden)
}
