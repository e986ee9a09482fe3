/**
 * Wishes that can't be had, each with what stands in the way and the nearest that can. Asked in order; pure.
 */
import { type FamilyCode, getFamily } from '@/core/craft/families'
import { mayHoldLead } from '@/core/craft/lead'
import { getLook, type Look, type LookCode, materialsOf } from '@/core/craft/looks'
import { getSubstrate, type UseCode } from '@/core/craft/parts'
import { type TopcoatCode, topcoatCodes, topcoatFits } from '@/core/craft/topcoats'
import type { FinishablePart, FinishWish } from './wish'

export type RefusalCode =
  'pile' | 'material' | 'soft-use' | 'lead' | 'paint' | 'not-combinable' | 'seal-use' | 'no-seal' | 'colour-missing'

/** What of the wish would have to be another. */
export interface Nearest {
  look?: LookCode
  paint?: FamilyCode
  seal?: TopcoatCode
  with?: readonly LookCode[]
}
export interface FinishRefusal {
  code: RefusalCode
  nearest: Nearest | null
}

/** The first topcoat of a look that the use allows; null where none does. */
export const findTopcoat = (looks: readonly Look[], paint: FamilyCode, part: FinishablePart): TopcoatCode | null =>
  [...firstBy(part.use, paint), ...(looks[0]?.seals ?? [])].find(
    (code) => looks.every(({ seals }) => seals.includes(code)) && topcoatFits(code, part.use, paint),
  ) ?? null

/** What a use asks for before the look does: what is for show is waxed or left; a paint that stands alone anywhere is left so. */
function firstBy(use: UseCode, paint: FamilyCode): TopcoatCode[] {
  if (sealsItself(paint) && topcoatFits('none', 'heavy', paint)) return ['none']
  return use === 'display' ? ['none', 'wax'] : []
}

/** A look for any material, and a paint for it that has a topcoat for the use. */
function nearestLook(part: FinishablePart, paint: FamilyCode): Nearest | null {
  const { kind } = getSubstrate(part.substrate)
  const look: LookCode = kind === 'fabric' ? 'painted-fabric' : kind === 'leather' ? 'painted-leather' : 'smooth-solid'
  const { paints } = getLook(look)
  const first = paints.includes(paint) ? paint : paints[0]
  return first ? { look, paint: first, with: [] } : null
}

interface Reason {
  code: RefusalCode
  stands: (part: FinishablePart, wish: FinishWish, looks: readonly Look[]) => boolean
  nearest: (part: FinishablePart, wish: FinishWish, looks: readonly Look[]) => Nearest | null
}

const kindOf = (part: FinishablePart) => getSubstrate(part.substrate).kind

const reasons: readonly Reason[] = [
  { code: 'pile', stands: (part) => kindOf(part) === 'pile', nearest: () => null },
  {
    code: 'soft-use',
    stands: (part) => ['fabric', 'leather'].includes(kindOf(part)) && !['display', 'light'].includes(part.use),
    nearest: () => null,
  },
  {
    code: 'material',
    stands: (part, _, looks) => looks.some((look) => !materialsOf(look).includes(kindOf(part))),
    nearest: (part, { paint }) => nearestLook(part, paint),
  },
  // no blade on veneer
  {
    code: 'material',
    stands: (part, _, looks) =>
      getSubstrate(part.substrate).veneer === true &&
      looks.some(({ recipe }) => recipe.some(({ operation }) => operation === 'scrape-distress')),
    nearest: (part, { paint }) => nearestLook(part, paint),
  },
  // wax stands no heat, standing water or weather, whatever lies below it
  {
    code: 'seal-use',
    stands: ({ use }, _, looks) =>
      ['heat', 'damp', 'outdoors'].includes(use) &&
      looks.some(({ recipe }) => recipe.some(({ operation }) => operation === 'tinted-wax')),
    nearest: (part, { look, paint, with: over }) =>
      look === 'aged-wax' ? nearestLook(part, paint) : { with: (over ?? []).filter((code) => code !== 'aged-wax') },
  },
  {
    code: 'lead',
    stands: (part, _, looks) => mayHoldLead(part) && looks.some(({ abrades }) => abrades),
    nearest: (part, { paint }) => nearestLook(part, paint),
  },
  {
    code: 'not-combinable',
    stands: (_, wish, looks) =>
      (wish.with ?? []).some((code) => !getLook(code).addOn || code === wish.look) ||
      (looks.length > 1 && !looks[0]?.paints.some((code) => looks.every(({ paints }) => paints.includes(code)))),
    nearest: () => ({ with: [] }),
  },
  {
    code: 'paint',
    stands: (_, { paint }, looks) => looks.some(({ paints }) => !paints.includes(paint)),
    nearest: (_, __, looks) => {
      const paint = looks[0]?.paints.find((code) => looks.every(({ paints }) => paints.includes(code)))
      return paint ? { paint } : null
    },
  },
  {
    code: 'seal-use',
    stands: (part, { seal, paint }) => seal !== undefined && !topcoatFits(seal, part.use, paint),
    nearest: (part, { paint }, looks) => {
      const seal = findTopcoat(looks, paint, part) ?? topcoatCodes.find((code) => topcoatFits(code, part.use, paint))
      return seal ? { seal } : null
    },
  },
  {
    code: 'no-seal',
    stands: (part, { seal, paint }, looks) => seal === undefined && findTopcoat(looks, paint, part) === null,
    nearest: (part, { paint }) => nearestLook(part, paint),
  },
  {
    code: 'colour-missing',
    stands: (_, { colours }, looks) => looks.some(({ slots }) => slots.some((slot) => !colours[slot])),
    nearest: () => null,
  },
]

/** What stands in the way of a wish on this part; null where nothing does. */
export function findRefusal(part: FinishablePart, wish: FinishWish): FinishRefusal | null {
  const looks = [wish.look, ...(wish.with ?? [])].map(getLook)
  const reason = reasons.find(({ stands }) => stands(part, wish, looks))
  return reason ? { code: reason.code, nearest: reason.nearest(part, wish, looks) } : null
}

/** Paints that need no topcoat on a part of this use. */
export const sealsItself = (paint: FamilyCode): boolean => !getFamily(paint).needsTopcoat
