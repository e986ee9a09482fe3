/** Which topcoat a finish gets: as wished, as the house likes it, as look, use and paint allow. Pure. */
import { type FamilyCode, getFamily } from '@/core/craft/families'
import type { HouseMethod } from '@/core/craft/method'
import { isCut } from '@/core/craft/mixes'
import { laysColour, type OperationCode } from '@/core/craft/operations'
import { isSoft, type UseCode } from '@/core/craft/parts'
import { phases, type RecipeLine } from '@/core/craft/recipe'
import { type Sheen, sheensOf } from '@/core/craft/sheen'
import { usualFamily } from '@/core/craft/takes'
import { getTopcoat, sheensUnder, type TopcoatCode, topcoatCodes, topcoatFits } from '@/core/craft/topcoats'
import type { Touch } from './touch'
import { type FinishablePart, type FinishWish, looksOf } from './wish'

/** Paints that need no topcoat on a part of this use. */
export const sealsItself = (paint: FamilyCode): boolean => !getFamily(paint).needsTopcoat
const isColoured = ({ operation }: Touch) => laysColour(operation)

/** The paint, or the glaze, that a topcoat meets: the last of the painter's own list, or of the look's in the order of work. */
export function lastPaintOf({ touches, paint, ...wish }: Pick<FinishWish, 'touches' | 'paint' | 'look' | 'with'>): FamilyCode {
  if (touches) {
    const last = touches.findLast(isColoured)
    return (last && (last.family ?? usualFamily(last.operation, paint))) ?? paint
  }
  const coloured = looksOf(wish)
    .flatMap(({ recipe }): RecipeLine[] => [...recipe])
    .filter(({ operation }) => laysColour(operation))
  const latest = Math.max(...coloured.map(({ phase }) => phases.indexOf(phase)))
  return coloured.findLast(({ phase }) => phases.indexOf(phase) === latest)?.family ?? paint
}

const kinds: readonly [OperationCode, (family: FamilyCode | undefined) => TopcoatCode][] = [
  ['clear-coat', (family) => (family === 'hard-clear' ? 'hard' : 'clear')],
  ['oil', (family) => (family === 'oil-wax' ? 'oil-wax' : 'oil')],
  ['clear-wax', () => 'wax'],
]
/** A layer, asked for or laid. */
interface Layer {
  operation: OperationCode
  mix?: string | null | undefined
  where?: object | null | undefined
}
/** Tinted wax cut with clear, all over: one of two ways to wax. */
export const isWaxedOver = ({ operation, mix, where }: Layer) => operation === 'tinted-wax' && isCut(mix) && !where
/** The topcoat that the painter's own list ends with; null where it has none. */
export function ownTopcoat({ touches }: Pick<FinishWish, 'touches'>, { use }: Pick<FinishablePart, 'use'>): TopcoatCode | null {
  if (!touches) return null
  const above = touches.slice(touches.findLastIndex(isColoured) + 1)
  for (const [operation, code] of kinds) {
    const own = above.find((touch) => touch.operation === operation)
    if (own) return code(own.family)
  }
  return above.some(isWaxedOver) && getTopcoat('wax').uses.includes(use) ? 'wax' : null
}

/**
 * What a use asks for before the look does: what is for show is waxed or left; a paint that stands alone anywhere is left so, but for one
 * whose own finish is only the first of the clears that wear asks for.
 */
function firstBy(use: UseCode, paint: FamilyCode): TopcoatCode[] {
  const isWorn = !['display', 'light'].includes(use)
  if (sealsItself(paint) && topcoatFits('none', 'heavy', paint) && !(isWorn && getFamily(paint).ownClears)) return ['none']
  return use === 'display' ? ['none', 'wax'] : []
}

/** A paint that takes no clear is left as it is under any look, but where a tint wants something below it. */
const isLeftSo = (paint: FamilyCode, wish: FinishWish) => !topcoatFits('clear', 'light', paint) && !wantsBarrier(wish)
/** The topcoats of the look, or all for the painter's own list, that the use allows, the one to take first. */
export function topcoatsFor(part: FinishablePart, wish: FinishWish): TopcoatCode[] {
  const looks = looksOf(wish)
  const paint = lastPaintOf(wish)
  const first = firstBy(part.use, paint)
  const suits = (code: TopcoatCode) =>
    looks.every(({ seals }) => seals.includes(code)) || (code === 'none' && isLeftSo(paint, wish))
  const looked = [...first, ...(looks[0]?.seals ?? [])].filter(suits)
  // the painter's own list began as a look: what suits that comes first
  const order = wish.touches ? [...ownFirst(wish), ...looked, ...first, ...topcoatCodes] : looked
  return [...new Set(order)].filter((code) => topcoatFits(code, part.use, paint) && staysOn(code, part))
}
/** A salve takes wax over it, and no clear. */
const ownFirst = ({ touches }: FinishWish): TopcoatCode[] => (touches?.at(-1)?.operation === 'salve' ? ['wax'] : [])
/** Cloth and leather are waxed, or left. */
const staysOn = (code: TopcoatCode, { substrate }: FinishablePart) => !isSoft(substrate) || code === 'wax' || code === 'none'
/** Whether it can be laid so that the finish shines as it is wished. */
export const shinesAs = (code: TopcoatCode, wish: FinishWish): boolean =>
  wish.sheen === undefined || sheensWith(code, wish).includes(wish.sheen)
/** What the finish may shine like under it; a tinted wax over neither wax nor clear has a clear wax laid below it. */
export const sheensWith = (code: TopcoatCode, wish: FinishWish): readonly Sheen[] =>
  !barriers.includes(code) && wantsBarrier(wish) ? sheensOf('clear-wax') : sheensUnder(code, lastPaintOf(wish))
const barriers: readonly TopcoatCode[] = ['wax', 'clear', 'hard']
const wantsBarrier = (wish: FinishWish): boolean =>
  (wish.touches ?? looksOf(wish).flatMap(({ recipe }): Pick<Touch, 'operation' | 'mix'>[] => [...recipe])).some(
    ({ operation, mix }) => operation === 'tinted-wax' && !isCut(mix),
  )
/** The first that shines as it is wished; null where none does. */
export const findTopcoat = (part: FinishablePart, wish: FinishWish): TopcoatCode | null =>
  topcoatsFor(part, wish).find((code) => shinesAs(code, wish)) ?? null

/** The topcoat. Throws where none can be had: such a wish is refused before. */
export function chooseTopcoat(part: FinishablePart, wish: FinishWish, method: HouseMethod): TopcoatCode {
  const asked = ownTopcoat(wish, part) ?? wish.seal
  if (asked) return asked
  const house = method.topcoat
  if (house !== 'by-look' && topcoatFits(house, part.use, lastPaintOf(wish)) && shinesAs(house, wish)) {
    if (wish.touches || looksOf(wish).every(({ seals }) => seals.includes(house))) return house
  }
  const usual = findTopcoat(part, wish)
  if (!usual) throw new Error(`no topcoat for ${wish.look} in ${wish.paint}, use ${part.use}`)
  return usual
}
