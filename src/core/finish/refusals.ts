/**
 * Wishes that can't be had, each with what stands in the way and the nearest that can. Asked in order; pure.
 */
import type { FamilyCode } from '@/core/craft/families'
import { mayHoldLead } from '@/core/craft/lead'
import { getLook, type Look, type LookCode, materialsOf } from '@/core/craft/looks'
import { getSubstrate, isSoft, kindOf } from '@/core/craft/parts'
import { noWax, topcoatCodes, topcoatFits } from '@/core/craft/topcoats'
import { listRefusal } from './listRefusal'
import type { FinishRefusal, Nearest, RefusalCode } from './refusal'
import { sheenRefused } from './sheen'
import { findTopcoat, lastPaintOf } from './topcoat'
import { type FinishablePart, type FinishWish, looksOf } from './wish'

/** A look for any material, and a paint for it that has a topcoat for the use. */
function nearestLook(part: FinishablePart, paint: FamilyCode): Nearest | null {
  const { kind } = getSubstrate(part.substrate)
  const look: LookCode = kind === 'fabric' ? 'painted-fabric' : kind === 'leather' ? 'painted-leather' : 'smooth-solid'
  const { paints } = getLook(look)
  const first = paints.includes(paint) ? paint : paints[0]
  return first ? { look, paint: first, with: [], touches: undefined } : null
}

interface Reason {
  code: RefusalCode
  stands: (part: FinishablePart, wish: FinishWish, looks: readonly Look[]) => boolean
  nearest: (part: FinishablePart, wish: FinishWish, looks: readonly Look[]) => Nearest | null
}

/** Asked whoever made the list. */
const always: readonly RefusalCode[] = ['pile', 'soft-use', 'sheen']

const waxesTinted = ({ recipe }: Look) => recipe.some(({ operation }) => operation === 'tinted-wax')

const reasons: readonly Reason[] = [
  { code: 'pile', stands: (part) => kindOf(part) === 'pile', nearest: () => null },
  {
    code: 'soft-use',
    stands: (part) => isSoft(part.substrate) && !['display', 'light'].includes(part.use),
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
      looks.some(({ recipe }) => recipe.some(({ operation, school }) => operation === 'scrape-distress' && !school)),
    nearest: (part, { paint }) => nearestLook(part, paint),
  },
  {
    code: 'seal-use',
    stands: ({ use }, _, looks) => noWax.includes(use) && looks.some(waxesTinted),
    nearest: (part, { look, paint, with: over }) =>
      waxesTinted(getLook(look))
        ? nearestLook(part, paint)
        : { with: (over ?? []).filter((code) => !waxesTinted(getLook(code))) },
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
    stands: (part, wish) => wish.seal !== undefined && !topcoatFits(wish.seal, part.use, lastPaintOf(wish)),
    nearest: (part, wish) => {
      const seal = findTopcoat(part, wish) ?? topcoatCodes.find((code) => topcoatFits(code, part.use, lastPaintOf(wish)))
      return seal ? { seal } : null
    },
  },
  {
    code: 'sheen',
    stands: (part, wish) => sheenRefused(part, wish) !== null,
    nearest: sheenRefused,
  },
  {
    code: 'no-seal',
    stands: (part, wish) => wish.seal === undefined && findTopcoat(part, wish) === null,
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
  const looks = looksOf(wish)
  const asked = wish.touches ? reasons.filter(({ code }) => always.includes(code)) : reasons
  const reason = asked.find(({ stands }) => stands(part, wish, looks))
  if (reason) return { code: reason.code, nearest: shining(part, wish, reason.nearest(part, wish, looks)) }
  const fault = wish.touches ? listRefusal(part, { ...wish, touches: wish.touches }) : null
  return fault && { ...fault, nearest: shining(part, wish, fault.nearest) }
}
/** What is nearest, in a sheen that it can be had in. */
function shining(part: FinishablePart, wish: FinishWish, nearest: Nearest | null): Nearest | null {
  return nearest && { ...nearest, ...sheenRefused(part, { ...wish, ...nearest }) }
}
