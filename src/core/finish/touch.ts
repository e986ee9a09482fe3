/**
 * A finish as the painter puts it together: touches, bottom up, each a layer or a treatment with what is decided about it; all
 * else is left to the engine. A look is a first list of them, a house recipe a list that was kept. Pure.
 */
import type { FamilyCode } from '@/core/craft/families'
import type { OperationCode } from '@/core/craft/operations'
import type { Pattern } from '@/core/craft/pattern'
import type { PhaseCode, ReasonCode, Slot } from '@/core/craft/recipe'
import type { Sheen } from '@/core/craft/sheen'
import type { Film } from '@/core/measure/film'
import type { Colour } from './shade'

/** Where most real looks differ: the flats, what hands wear, the hollows. */
export const places = ['field', 'edges', 'recesses'] as const
export type Place = (typeof places)[number]
/** Share of a part that each place is. Practice. */
export const placeShares: Record<Place, number> = { field: 0.78, edges: 0.12, recesses: 0.1 }

export interface Where {
  /** all three unless given */
  places?: readonly Place[] | undefined
  /** the share of those places that it covers, here and there; all of them unless given. 0 to 1 */
  share?: number | undefined
  /** in the painter's words: "the feet, faded up" */
  words?: string | undefined
  /** set out with its measures; `share` is then what it covers */
  pattern?: Pattern | undefined
}
/** The places that some of these layers go to. */
export const placesUnder = (layers: readonly { where?: Where | null | undefined }[]): Place[] =>
  places.filter((place) => layers.some(({ where }) => where?.places?.includes(place) ?? true))
/** The share of a whole part. */
export const shareOf = (where: Where | null | undefined): number =>
  (where?.places ?? places).reduce((sum, place) => sum + placeShares[place], 0) * (where?.share ?? 1)

/** Worked to the wood. */
export const ground = 'ground'
export interface Touch {
  /** its own among the touches of a finish */
  id: string
  operation: OperationCode
  family?: FamilyCode | undefined
  colour?: Colour | undefined
  mix?: string | undefined
  where?: Where | undefined
  film?: Film | undefined
  /** the sheen of its tin, where it matters which */
  sheen?: Sheen | undefined
  applicator?: string | undefined
  grit?: string | undefined
  /** how often; once unless given */
  repeat?: number | 'as-it-covers' | 'by-use' | undefined
  /** what is otherwise the first time */
  first?: { mix?: string; film?: Film } | undefined
  /** rubbed so before each time but the first */
  between?: { grit: string; reason: ReasonCode } | undefined
  /** what is below must stay a layer of its own */
  keepApart?: boolean | undefined
  /** the touch that a wear is worn to, or `ground` */
  wearTo?: string | undefined
  /** meant to let go in flakes */
  chips?: boolean | undefined
  /** makes it better; nothing breaks without it */
  optional?: boolean | undefined
  reason?: ReasonCode | undefined
  /** what the painter set is never changed back of itself */
  by: 'look' | 'painter'
}

/** A touch of a look or a topcoat, with what only they know. */
export interface LookTouch extends Touch {
  phase: PhaseCode
  /** of the topcoat, not of the look */
  topcoat?: true
  /** the choice that its colour was */
  slot?: Slot | undefined
}
