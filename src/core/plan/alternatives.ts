/**
 * Other ways to the same part, each with what it changes: the other school, another paint, another topcoat, a quicker look,
 * only what is on the shelf. Pure.
 */
import { contrast } from '@/core/craft/colour'
import { type FamilyCode, paintCodes } from '@/core/craft/families'
import { type LookCode, lookCodes } from '@/core/craft/looks'
import { type HouseMethod, type SchoolCode, schoolCodes, schools } from '@/core/craft/method'
import { type TopcoatCode, topcoatCodes } from '@/core/craft/topcoats'
import type { PlannedStep } from '@/core/finish/step'
import { lastPaintOf } from '@/core/finish/topcoat'
import type { Colour, FinishablePart, FinishWish } from '@/core/finish/wish'
import type { Shelf } from './amounts'
import { figuresOf, type HouseResources, type PlanFigures } from './figures'
import { planFinish } from './planFinish'

export type Change =
  | { kind: 'school'; code: SchoolCode; to: string }
  | { kind: 'paint'; to: FamilyCode }
  | { kind: 'seal'; to: TopcoatCode }
  | { kind: 'look'; to: LookCode }
export interface Alternative {
  change: Change
  wish: FinishWish
  steps: PlannedStep[]
  figures: PlanFigures
}

/** Every single change that gives another plan, quickest first; looks only where they save time. */
export function listAlternatives(
  part: FinishablePart,
  wish: FinishWish,
  method: HouseMethod,
  means: HouseResources,
): Alternative[] {
  const own = planFinish(part, wish, method)
  if ('refusal' in own) return []
  const minutes = figuresOf(own.plan.steps, means).minutes
  const name = (steps: readonly PlannedStep[]) =>
    steps
      .map(
        ({ operation, family, grit, mix, minutes, window }) =>
          `${operation} ${family} ${grit} ${mix} ${minutes} ${window?.opens[0]}`,
      )
      .join()
  const tried: [Change, FinishWish, HouseMethod][] = [
    ...schoolCodes.flatMap((code) =>
      Object.keys(schools[code])
        .filter((to) => to !== method[code])
        .map((to): [Change, FinishWish, HouseMethod] => [{ kind: 'school', code, to }, wish, { ...method, [code]: to }]),
    ),
    ...topcoatCodes.map((to): [Change, FinishWish, HouseMethod] => [{ kind: 'seal', to }, { ...wish, seal: to }, method]),
    ...paintCodes
      .filter((to) => to !== mainPaintOf(wish) && standsOnShelf(means.shelf, to))
      .map((to): [Change, FinishWish, HouseMethod] => [{ kind: 'paint', to }, inPaint(wish, to), method]),
    ...lookCodes
      .filter((to) => to !== wish.look)
      .map((to): [Change, FinishWish, HouseMethod] => [
        { kind: 'look', to },
        { ...wish, look: to, with: [], touches: undefined },
        method,
      ]),
  ]
  const seen = new Set([name(own.plan.steps)])
  return tried
    .flatMap(([change, otherWish, otherMethod]) => {
      const outcome = planFinish(part, otherWish, otherMethod)
      if ('refusal' in outcome) return []
      const { steps } = outcome.plan
      const key = change.kind === 'look' ? `${change.to} ${name(steps)}` : name(steps)
      const figures = figuresOf(steps, means)
      if (seen.has(key) || (change.kind === 'look' && figures.minutes >= minutes)) return []
      seen.add(key)
      return [{ change, wish: otherWish, steps, figures }]
    })
    .sort((a, b) => a.figures.minutes - b.figures.minutes)
}

/** The paint of a finish; of the painter's own list the one on top. */
export const mainPaintOf = (wish: FinishWish): FamilyCode => (wish.touches ? lastPaintOf(wish) : wish.paint)
/** The same finish in another paint, in the painter's own list wherever its paint stood. */
export function inPaint(wish: FinishWish, paint: FamilyCode): FinishWish {
  const main = mainPaintOf(wish)
  const touches = wish.touches?.map((touch) => (touch.family === main ? { ...touch, family: paint, mix: undefined } : touch))
  return { ...wish, paint, touches }
}

/** What is given up of a wish to make do with the shelf, the look before all else; more is further from it. */
const givenUp = { with: 8, colours: 4, paint: 2, seal: 1 }

const standsOnShelf = (shelf: Shelf, code: FamilyCode): boolean =>
  shelf.some(({ family, amount }) => family === code && amount > 0)

/** The wished colours where a paint stands on the shelf in them, else the nearest of its tins, each for one colour. */
function coloursFrom(shelf: Shelf, paint: FamilyCode, wished: FinishWish['colours']): FinishWish['colours'] {
  const tins = shelf.flatMap(({ family, hex, name, amount }) =>
    family === paint && hex !== null && amount > 0 ? [{ hex, name: name ?? hex }] : [],
  )
  const taken = new Set<string>()
  const nearest = (colour: Colour): Colour => {
    const free = tins.filter(({ hex }) => !taken.has(hex))
    const found = [...free].sort((a, b) => contrast(a.hex, colour.hex) - contrast(b.hex, colour.hex))[0] ?? colour
    taken.add(found.hex)
    return found
  }
  return { ...(wished.a && { a: nearest(wished.a) }), ...(wished.b && { b: nearest(wished.b) }) }
}

/**
 * The plan nearest to the wish that takes nothing but what is on the shelf; where there is none, the fewest products that
 * would have to be bought. Cleaners are not reckoned.
 */
export function findFromShelf(
  part: FinishablePart,
  wish: FinishWish,
  method: HouseMethod,
  means: HouseResources,
): { wish: FinishWish; figures: PlanFigures } | { lacking: FamilyCode[] } {
  const paints = [wish.paint, ...paintCodes.filter((code) => code !== wish.paint && standsOnShelf(means.shelf, code))]
  const seals = [wish.seal, ...[undefined, ...topcoatCodes].filter((code) => code !== wish.seal)]
  const looks = [wish.look, ...lookCodes.filter((code) => code !== wish.look)]
  const extras = wish.with?.length ? [wish.with, []] : [wish.with]
  let least: FamilyCode[] | null = null
  for (const look of looks) {
    const made = extras.flatMap((over) =>
      paints.flatMap((paint) =>
        seals.flatMap((seal) => {
          const colours = coloursFrom(means.shelf, paint, wish.colours)
          const own = look === wish.look ? inPaint(wish, paint) : { ...wish, touches: undefined }
          const tried: FinishWish = { ...own, look, with: look === wish.look ? over : [], paint, seal, colours }
          const outcome = planFinish(part, tried, method)
          if ('refusal' in outcome) return []
          const distance =
            (over === wish.with ? 0 : givenUp.with) +
            (paint === wish.paint ? 0 : givenUp.paint) +
            (colours.a?.hex === wish.colours.a?.hex && colours.b?.hex === wish.colours.b?.hex ? 0 : givenUp.colours) +
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
