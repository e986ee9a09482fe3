/** The plan desk's state, and what is known beside it. Types only. */
import type { FamilyCode } from '@/core/craft/families'
import type { LookCode } from '@/core/craft/looks'
import type { HouseMethod } from '@/core/craft/method'
import type { Slot } from '@/core/craft/recipe'
import type { Sheen } from '@/core/craft/sheen'
import type { TopcoatCode } from '@/core/craft/topcoats'
import type { Touch } from '@/core/finish/touch'
import type { Colour, FinishablePart } from '@/core/finish/wish'
import type { Plan } from '@/core/piece/piece'
import type { StepEdits } from '@/core/plan/stepEdits'

/** A colour that stands on the shelf. */
export interface DeskTin {
  family: FamilyCode
  name: string
  hex: string
}
/** What a plan in force says of the wish. */
export type PlanBefore = Pick<
  Plan,
  'id' | 'look' | 'with' | 'paint' | 'colours' | 'seal' | 'sheen' | 'departures' | 'touches' | 'edits'
>

export interface DeskState {
  look: LookCode
  /** laid over the look */
  extras: readonly LookCode[]
  paint: FamilyCode
  /** as the house does unless chosen */
  seal: TopcoatCode | null
  /** as it comes unless chosen */
  sheen: Sheen | null
  departures: Partial<HouseMethod>
  colours: Record<Slot, Colour>
  /** the painter's own list; null while a look is planned */
  touches: readonly Touch[] | null
  /** an own list that was laid aside for a look */
  aside: readonly Touch[] | null
  edits: StepEdits
}
/** What is known at the desk beside what is wished. */
export interface DeskAround {
  facts: FinishablePart
  tins: readonly DeskTin[]
  /** the house's own */
  method: HouseMethod
}
