/** What the desk begins with where nothing was chosen yet. Pure. */
import type { FamilyCode } from '@/core/craft/families'
import type { LookCode } from '@/core/craft/looks'
import type { Slot } from '@/core/craft/recipe'
import { findRefusal } from '@/core/finish/refusals'
import type { Colour, FinishWish } from '@/core/finish/wish'
import { factsOf } from '@/core/piece/facts'
import type { DeskTin, PlanPart } from './planPart'

export const fallbackColours: Record<Slot, Colour> = {
  a: { name: 'First colour', hex: '#3d5661' },
  b: { name: 'Second colour', hex: '#e3d7bd' },
}

/** A look that the material allows, to begin with. */
export function firstLook(part: PlanPart): LookCode {
  const facts = factsOf(part)
  const wish: FinishWish = { look: 'smooth-solid', paint: 'chalk-mineral', colours: fallbackColours }
  return findRefusal(facts, wish)?.nearest?.look ?? 'smooth-solid'
}

/** Two tins of a paint to begin with, the second another colour than the first. */
export function twoTins(tins: readonly DeskTin[], family: FamilyCode, first: Colour | undefined): Partial<Record<Slot, Colour>> {
  const fitting = tins.filter((tin) => tin.family === family).map(({ name, hex }): Colour => ({ name, hex }))
  const a = first ?? fitting[0]
  const b = fitting.find(({ hex }) => hex !== a?.hex)
  return { ...(a && { a }), ...(b && { b }) }
}
