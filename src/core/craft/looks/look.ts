/** What a look is. Types only. */
import type { FamilyCode } from '@/core/craft/families'
import type { SubstrateKind } from '@/core/craft/parts'
import type { RecipeLine, Slot } from '@/core/craft/recipe'
import type { TopcoatCode } from '@/core/craft/topcoats'

export interface Look {
  words: string
  tells: string
  slots: readonly Slot[]
  slotWords: Partial<Record<Slot, string>>
  paints: readonly FamilyCode[]
  /** materials it can be put on; wood, board, slick and cane unless given */
  on?: readonly SubstrateKind[]
  /** needs the wood laid bare */
  bareWood?: boolean
  /** abrades or cuts into what is there, or heats it */
  abrades?: boolean
  /** can also be laid over another look */
  addOn?: boolean
  /** two colours must stay two layers */
  apart?: boolean
  /** two colours must run into each other */
  blends?: boolean
  /** paint is meant to come off in flakes */
  chips?: boolean
  /** topcoats that suit it, the first that the use allows is taken */
  seals: readonly TopcoatCode[]
  recipe: readonly RecipeLine[]
  /** how the drawing shows it */
  wear: 'none' | 'edges' | 'through' | 'grain'
}
