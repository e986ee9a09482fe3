/** What the desk begins with: the plan in force, else a look that the material allows, in the tins that are there. Pure. */
import type { FamilyCode } from '@/core/craft/families'
import type { LookCode } from '@/core/craft/looks'
import type { Slot } from '@/core/craft/recipe'
import { findRefusal } from '@/core/finish/refusals'
import type { Colour, FinishablePart, FinishWish } from '@/core/finish/wish'
import { noEdits } from '@/core/plan/stepEdits'
import type { DeskState, DeskTin, PlanBefore } from './state'

const fallbackColours: Record<Slot, Colour> = {
  a: { name: 'First colour', hex: '#3d5661' },
  b: { name: 'Second colour', hex: '#e3d7bd' },
}

/** A look that the material allows, to begin with. */
function firstLook(facts: FinishablePart): LookCode {
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

/** `done`: the painter's own steps that are behind the part, by their names: they are not asked for again. */
export function beginDesk(
  facts: FinishablePart,
  before: PlanBefore | null,
  tins: readonly DeskTin[],
  done: readonly string[] = [],
): DeskState {
  const paint = before?.paint ?? 'chalk-mineral'
  const edits = before?.edits ?? noEdits
  return {
    look: before?.look ?? firstLook(facts),
    extras: before?.with ?? [],
    paint,
    seal: before?.seal ?? null,
    sheen: before?.sheen ?? null,
    departures: before?.departures ?? {},
    colours: { ...fallbackColours, ...twoTins(tins, paint, before?.colours.a), ...before?.colours },
    touches: before?.touches ?? null,
    aside: null,
    edits: { ...edits, own: edits.own.filter(({ id }) => !done.includes(id)) },
  }
}
