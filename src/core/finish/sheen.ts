/** Which coats decide how much a finish shines, and in which sheen they are laid. Pure. */
import type { FamilyCode } from '@/core/craft/families'
import { getOperation, type OperationCode } from '@/core/craft/operations'
import { nearestSheen, saidByTin, type Sheen, sheensOf } from '@/core/craft/sheen'
import type { Nearest } from './refusal'
import { findTopcoat, ownTopcoat, sheensWith, topcoatsFor } from './topcoat'
import { places, type Where } from './touch'
import type { FinishablePart, FinishWish } from './wish'

interface Coat {
  operation: OperationCode
  family: FamilyCode | null
  where?: Where | null | undefined
}
/** Worked thin into hollows or on to edges: what lies below goes on shining as it does. */
const accents: readonly OperationCode[] = ['tinted-wax', 'metallic-wax']
/** Laid over all of the flats, of what shines one way or another. */
export const decidesSheen = ({ operation, family, where }: Coat): boolean =>
  family !== null &&
  getOperation(operation).layer !== undefined &&
  !accents.includes(operation) &&
  sheensOf(family).length > 0 &&
  (where?.share ?? 1) >= 1 &&
  (where?.places ?? places).includes('field')

interface SheenStep extends Coat {
  colour: { hex: string } | null
  sheen?: Sheen | undefined
  needed: boolean
}
/**
 * The last product that decides it, in all its coats at the end: bought once, in the sheen that is wished for. Over what was `done` in
 * another the last is no choice any more.
 */
export function inSheen<T extends SheenStep>(
  steps: readonly T[],
  wanted: Sheen | undefined,
  done: readonly (Coat & { sheen?: Sheen | null | undefined })[] = [],
): T[] {
  const last = steps.findLast(decidesSheen)
  if (!wanted || !last?.family || !saidByTin(last.family) || !sheensOf(last.family).includes(wanted)) return [...steps]
  const alike = (step: T) =>
    step.operation === last.operation && step.family === last.family && step.colour?.hex === last.colour?.hex
  // what lies below another layer is not seen
  const from = steps.findLastIndex((step) => decidesSheen(step) && !alike(step)) + 1
  const before = done.findLast(decidesSheen)?.sheen
  const decides = before && before !== wanted && !steps.some((step) => decidesSheen(step) && step.needed)
  return steps.map((step, k) =>
    k >= from && alike(step) ? { ...step, sheen: wanted, needed: step.needed || (decides === true && step === last) } : step,
  )
}

/** The sheens that can be had: of the topcoat that is asked for, else of all that the part and the look allow. */
export function sheensToHave(part: FinishablePart, wish: FinishWish): Sheen[] {
  const asked = ownTopcoat(wish, part) ?? wish.seal
  const codes = asked ? [asked] : topcoatsFor(part, wish)
  return [...new Set(codes.flatMap((code) => sheensWith(code, wish)))]
}
/** A sheen that can't be had, with the nearest that can: under another topcoat, where one was asked for and another has it. */
export function sheenRefused(part: FinishablePart, wish: FinishWish): Pick<Nearest, 'seal' | 'sheen'> | null {
  const had = wish.sheen && sheensToHave(part, wish)
  if (!wish.sheen || !had || had.length === 0 || had.includes(wish.sheen)) return null
  const other = ownTopcoat(wish, part) ? null : findTopcoat(part, { ...wish, seal: undefined })
  return other ? { seal: other } : { sheen: nearestSheen(wish.sheen, had) ?? undefined }
}
