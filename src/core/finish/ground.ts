/** What the ground does to what is laid on it: whether it comes through, whether it grips unscuffed. Pure. */
import { hidesBadly, isPale, lchOf } from '@/core/craft/colour'
import { getFamily } from '@/core/craft/families'
import { mayHoldLead } from '@/core/craft/lead'
import type { HouseMethod } from '@/core/craft/method'
import { getExistingFinish, getSubstrate, isSoft } from '@/core/craft/parts'
import { aimsOf, touchesOf } from './touches'
import type { FinishablePart, FinishWish } from './wish'

/** A patch bled: every colour shows it but the dark ones. */
const showsKnownBleed = 0.4
/** Old paint so dark that it shows under a pale one. */
const strongDark = 0.45

/** Whether this part's ground comes through a colour that shows it. */
export function bleedsThrough(part: FinishablePart, hexes: readonly string[]): boolean {
  const { bleeds, bleedsFrom } = getSubstrate(part.substrate)
  if (isSoft(part.substrate)) return false
  const paler = (than: number) => hexes.some((hex) => lchOf(hex).lightness > than)
  if (part.bleeds === true) return paler(showsKnownBleed)
  if (getExistingFinish(part.existing).layer === 'oldPaint') {
    const old = part.foundColour
    return Boolean(old) && lchOf(old as string).lightness < strongDark && hexes.some(isPale)
  }
  return (
    bleeds === true && (hexes.some((hex) => isPale(hex) || hidesBadly(hex)) || (bleedsFrom !== undefined && paler(bleedsFrom)))
  )
}

/** Whether the house leaves the shine unbroken here and proves the grip with a scratch. */
export function isProven(part: FinishablePart, wish: FinishWish, method: HouseMethod): boolean {
  const { film, gloss } = getExistingFinish(part.existing)
  const { kind } = getSubstrate(part.substrate)
  const touches = touchesOf(wish, method)
  const hexes = touches.flatMap(({ colour }) => colour?.hex ?? [])
  const first = touches.find(({ colour }) => colour !== undefined)?.family ?? wish.paint
  return (
    method.key === 'prove' &&
    getFamily(first).grips === 'most' &&
    film === true &&
    !gloss &&
    kind === 'wood' &&
    !part.slips &&
    !mayHoldLead(part) &&
    !bleedsThrough(part, hexes) &&
    !aimsOf(touches).bareWood
  )
}
