/** A wish as lines of work: which looks, which topcoat, how many coats of each colour. Pure. */
import { type Cover, coverFor, hidesBadly, lchOf } from '@/core/craft/colour'
import type { FamilyCode } from '@/core/craft/families'
import { getLook, type Look } from '@/core/craft/looks'
import { type HouseMethod, methodAllows } from '@/core/craft/method'
import type { OperationCode } from '@/core/craft/operations'
import { getExistingFinish, getSubstrate, type UseCode } from '@/core/craft/parts'
import { phases, type RecipeLine, type Slot } from '@/core/craft/recipe'
import { getTopcoat, type TopcoatCode, topcoatFits } from '@/core/craft/topcoats'
import { findTopcoat } from './refusals'
import type { FinishablePart, FinishWish } from './wish'

const primerHex = '#e9e4d8'

export const looksOf = (wish: Pick<FinishWish, 'look' | 'with'>): Look[] => [wish.look, ...(wish.with ?? [])].map(getLook)

/** The topcoat: as wished, else the house's where look, use and paint allow it, else the look's first that does. */
export function chooseTopcoat(part: FinishablePart, wish: FinishWish, looks: readonly Look[], method: HouseMethod): TopcoatCode {
  if (wish.seal) return wish.seal
  const house = method.topcoat
  if (house !== 'by-look' && looks.every(({ seals }) => seals.includes(house)) && topcoatFits(house, part.use, wish.paint))
    return house
  const own = findTopcoat(looks, wish.paint, part)
  if (!own) throw new Error(`no topcoat for ${wish.look} in ${wish.paint}, use ${part.use}`)
  return own
}

/** Lines of every look and of the topcoat in one order; what two looks both ask for stands once. */
export function mergeRecipes(looks: readonly Look[], seal: TopcoatCode): RecipeLine[] {
  const [main, ...over] = looks
  const stands = (line: RecipeLine) =>
    (line.phase === 'base' && line.operation === 'coat') ||
    main?.recipe.some(({ phase, operation }) => phase === line.phase && operation === line.operation)
  const added = over.flatMap(({ recipe }) => recipe.filter((line) => !stands(line)))
  const all: RecipeLine[] = [...getTopcoat(seal).recipe, ...(main?.recipe ?? []), ...added]
  const last = (line: RecipeLine) => all.findLast(({ phase, operation }) => phase === line.phase && operation === line.operation)
  const once = all.filter((line) => !['rub', 'buff'].includes(line.phase) || last(line) === line)
  return phases.flatMap((phase) => once.filter((line) => line.phase === phase))
}

/** Whether a primer lies under the colour. */
export const isPrimed = (steps: readonly { operation: OperationCode }[]): boolean =>
  steps.some(({ operation }) => operation === 'block-prime' || operation === 'adhesion-prime')

/** How many coats each colour of a wish needs on this part. */
export function coverOf(part: FinishablePart, wish: FinishWish, primed: boolean): Partial<Record<Slot, Cover>> {
  const existing = getExistingFinish(part.existing)
  const below = primed ? primerHex : (part.foundColour ?? existing.tone ?? getSubstrate(part.substrate).tone)
  const { a, b } = wish.colours
  return {
    ...(a && { a: coverFor(a.hex, below, primed || existing.layer === 'oldPaint') }),
    ...(b && { b: coverFor(b.hex, a?.hex ?? below, true) }),
  }
}

/** What of a line is otherwise in its first coat. */
const firstOf = ({ firstMix, firstFilm }: RecipeLine): Partial<RecipeLine> => ({
  ...(firstMix && { mix: firstMix }),
  ...(firstFilm && { film: firstFilm }),
})

export interface Line extends Omit<RecipeLine, 'times' | 'between'> {
  coat?: { number: number; of: number }
}

/** How often a line is worked on this part. */
export function timesOf(line: RecipeLine, use: UseCode, seal: TopcoatCode, cover: Partial<Record<Slot, Cover>>): number {
  if (line.times === 'by-use') return getTopcoat(seal).coats[use] ?? 2
  if (line.times === 'by-colour') return cover[line.paint ?? 'a']?.coats ?? 2
  return line.times ?? 1
}

/** A strong mid-tone may cover in one. */
const oneCovers = (hex: string | undefined) => hex !== undefined && !hidesBadly(hex) && lchOf(hex).lightness > 0.3
/** As few as may do. */
export function leastOf({ operation, times }: RecipeLine, full: number, hex: string | undefined): number {
  if (operation === 'fabric-coat') return 2
  if (operation === 'wash') return 1
  return times === 'by-colour' && full <= 2 && oneCovers(hex) ? 1 : full
}

/** Whether a line is worked with this paint, in this house. */
export const lineApplies = (line: RecipeLine, paint: FamilyCode, method: HouseMethod): boolean =>
  (!line.onlyFor || line.onlyFor.includes(paint)) && !line.notFor?.includes(paint) && methodAllows(line.school, method)

/** A recipe worked out for one part: coats counted, each coat a line of its own. */
export function colourLines(
  recipe: readonly RecipeLine[],
  part: FinishablePart,
  wish: FinishWish,
  method: HouseMethod,
  seal: TopcoatCode,
  cover: Partial<Record<Slot, Cover>>,
): Line[] {
  const fits = (line: RecipeLine) => lineApplies(line, wish.paint, method)
  return recipe.filter(fits).flatMap((line) => {
    const of = timesOf(line, part.use, seal, cover)
    // a clear more than the use asks for at least is a choice
    const needed = line.times === 'by-use' ? (getTopcoat(seal).least[part.use] ?? of) : of
    return Array.from({ length: of }, (_, k): Line[] => [
      ...(k > 0 ? (line.between ?? []).filter(fits) : []),
      { ...line, ...(k === 0 && firstOf(line)), ...(k >= needed && { optional: true }), coat: { number: k + 1, of } },
    ]).flat()
  })
}
