/**
 * Other ways to the same part, each with what it changes: the other school, another paint, another topcoat, a quicker look,
 * only what is on the shelf. Pure.
 */
import { paintCodes, type FamilyCode } from '../finish/families'
import { lookCodes, type LookCode } from '../finish/looks'
import { schoolCodes, schools, type HouseMethod, type SchoolCode } from '../finish/method'
import { planFinish, type FinishablePart, type FinishWish, type PlannedStep } from '../finish/planFinish'
import { sealCodes, type SealCode } from '../finish/seals'
import { figuresOf, type Means, type PlanFigures } from './figures'

export type Change =
  | { kind: 'school'; code: SchoolCode; to: string }
  | { kind: 'paint'; to: FamilyCode }
  | { kind: 'seal'; to: SealCode }
  | { kind: 'look'; to: LookCode }
export interface Alternative {
  change: Change
  wish: FinishWish
  steps: PlannedStep[]
  figures: PlanFigures
}

/** Every single change that gives another plan, quickest first; looks only where they save time. */
export function listAlternatives(part: FinishablePart, wish: FinishWish, method: HouseMethod, means: Means): Alternative[] {
  const own = planFinish(part, wish, method)
  if ('refusal' in own) return []
  const minutes = figuresOf(own.plan.steps, means).minutes
  const name = (steps: readonly PlannedStep[]) =>
    steps.map(({ operation, family, grit }) => `${operation} ${family} ${grit}`).join()
  const tried: [Change, FinishWish, HouseMethod][] = [
    ...schoolCodes.flatMap((code) =>
      Object.keys(schools[code])
        .filter((to) => to !== method[code])
        .map((to): [Change, FinishWish, HouseMethod] => [{ kind: 'school', code, to }, wish, { ...method, [code]: to }]),
    ),
    ...sealCodes.map((to): [Change, FinishWish, HouseMethod] => [{ kind: 'seal', to }, { ...wish, seal: to }, method]),
    ...paintCodes
      .filter((to) => to !== wish.paint && (means.shelf[to] ?? 0) > 0)
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
      const figures = figuresOf(steps, means)
      if (seen.has(key) || (change.kind === 'look' && figures.minutes >= minutes)) return []
      seen.add(key)
      return [{ change, wish: otherWish, steps, figures }]
    })
    .sort((a, b) => a.figures.minutes - b.figures.minutes)
}

/** What is given up of a wish to make do with the shelf, the look before all else; more is further from it. */
const givenUp = { with: 4, paint: 2, seal: 1 }

/**
 * The plan nearest to the wish that takes nothing but what is on the shelf; where there is none, the fewest products that
 * would have to be bought. Cleaners are not reckoned.
 */
export function findFromShelf(
  part: FinishablePart,
  wish: FinishWish,
  method: HouseMethod,
  means: Means,
): { wish: FinishWish; figures: PlanFigures } | { lacking: FamilyCode[] } {
  const paints = [wish.paint, ...paintCodes.filter((code) => code !== wish.paint && (means.shelf[code] ?? 0) > 0)]
  const seals = [wish.seal, ...[undefined, ...sealCodes].filter((code) => code !== wish.seal)]
  const looks = [wish.look, ...lookCodes.filter((code) => code !== wish.look)]
  const extras = wish.with?.length ? [wish.with, []] : [wish.with]
  let least: FamilyCode[] | null = null
  for (const look of looks) {
    const made = extras.flatMap((over) =>
      paints.flatMap((paint) =>
        seals.flatMap((seal) => {
          const tried: FinishWish = { ...wish, look, with: look === wish.look ? over : [], paint, seal }
          const outcome = planFinish(part, tried, method)
          if ('refusal' in outcome) return []
          const distance =
            (over === wish.with ? 0 : givenUp.with) +
            (paint === wish.paint ? 0 : givenUp.paint) +
            (seal === wish.seal ? 0 : givenUp.seal)
          return [{ wish: tried, distance, figures: figuresOf(outcome.plan.steps, means) }]
        }),
      ),
    )
    const [nearest] = made
      .filter(({ figures }) => figures.lacking.length === 0)
      .sort((a, b) => a.distance - b.distance || a.figures.minutes - b.figures.minutes)
    if (nearest) return { wish: nearest.wish, figures: nearest.figures }
    const own = made.map(({ figures }) => figures.lacking).sort((a, b) => a.length - b.length)[0]
    if (own && (least === null || own.length < least.length)) least = own
  }
  return { lacking: least ?? [] }
}
