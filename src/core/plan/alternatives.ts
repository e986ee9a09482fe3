/**
 * Other ways to the same part, each with what it changes: the other school, another paint, another topcoat, a quicker look,
 * only what is on the shelf. Pure.
 */
import { getFamily, type FamilyCode } from '../finish/families'
import { lookCodes, type LookCode } from '../finish/looks'
import { schoolCodes, schools, type HouseMethod, type SchoolCode } from '../finish/method'
import { planFinish, type FinishablePart, type FinishWish, type PlannedStep } from '../finish/planFinish'
import { sealCodes, type SealCode } from '../finish/seals'
import { layOut } from './timeline'

export interface PlanFigures {
  minutes: number
  /** working days from the first step to the last */
  days: number
  /** windows that can't be kept within the working hours */
  awkward: number
  /** products the shelf lacks */
  lacking: FamilyCode[]
  /** steps whose window closes within the hour: they want somebody who stays */
  hurried: number
}
export type Change =
  | { kind: 'school'; code: SchoolCode; to: string }
  | { kind: 'paint'; to: FamilyCode }
  | { kind: 'seal'; to: SealCode }
  | { kind: 'look'; to: LookCode }
export interface Alternative {
  change: Change
  figures: PlanFigures
}

/** What a plan asks of one painter at the usual hours. */
export function figuresOf(steps: readonly PlannedStep[], shelf: readonly FamilyCode[]): PlanFigures {
  const { attendedMinutes, days, awkward } = layOut([{ id: 'part', steps }])
  const used = [...new Set(steps.flatMap(({ family, amount }) => (family !== null && amount !== null ? [family] : [])))]
  return {
    minutes: attendedMinutes,
    days,
    awkward,
    hurried: steps.filter(({ window }) => window?.closes !== undefined && window.closes[0] <= 60).length,
    lacking: used.filter((family) => !shelf.includes(family) && getFamily(family).role !== 'cleaner'),
  }
}

/** Every single change that gives another plan, quickest first; looks only where they save time. */
export function listAlternatives(
  part: FinishablePart,
  wish: FinishWish,
  method: HouseMethod,
  shelf: readonly FamilyCode[],
): Alternative[] {
  const own = planFinish(part, wish, method)
  if ('refusal' in own) return []
  const minutes = figuresOf(own.plan.steps, shelf).minutes
  const name = (steps: readonly PlannedStep[]) =>
    steps.map(({ operation, family, grit }) => `${operation} ${family} ${grit}`).join()
  const tried: [Change, FinishWish, HouseMethod][] = [
    ...schoolCodes.flatMap((code) =>
      Object.keys(schools[code])
        .filter((to) => to !== method[code])
        .map((to): [Change, FinishWish, HouseMethod] => [{ kind: 'school', code, to }, wish, { ...method, [code]: to }]),
    ),
    ...sealCodes.map((to): [Change, FinishWish, HouseMethod] => [{ kind: 'seal', to }, { ...wish, seal: to }, method]),
    ...shelf
      .filter((to) => to !== wish.paint)
      .map((to): [Change, FinishWish, HouseMethod] => [{ kind: 'paint', to }, { ...wish, paint: to }, method]),
    ...lookCodes
      .filter((to) => to !== wish.look)
      .map((to): [Change, FinishWish, HouseMethod] => [{ kind: 'look', to }, { ...wish, look: to, with: [] }, method]),
  ]
  const seen = new Set([name(own.plan.steps)])
  return tried
    .flatMap(([change, otherWish, otherMethod]) => {
      const outcome = planFinish(part, otherWish, otherMethod)
      if ('refusal' in outcome) return []
      const { steps } = outcome.plan
      const key = change.kind === 'paint' || change.kind === 'look' ? `${change.to} ${name(steps)}` : name(steps)
      const figures = figuresOf(steps, shelf)
      if (seen.has(key) || (change.kind === 'look' && figures.minutes >= minutes)) return []
      seen.add(key)
      return [{ change, figures }]
    })
    .sort((a, b) => a.figures.minutes - b.figures.minutes)
}
