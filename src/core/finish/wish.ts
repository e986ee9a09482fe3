/** What the planner is asked: a part with its facts, and the finish wished for it. Areas in m². */
import type { FamilyCode } from '@/core/craft/families'
import type { LeadFinding } from '@/core/craft/lead'
import { getLook, type Look, type LookCode } from '@/core/craft/looks'
import type { ExistingFinishCode, Polish, SubstrateCode, UseCode } from '@/core/craft/parts'
import type { Face } from '@/core/craft/pattern'
import type { Slot } from '@/core/craft/recipe'
import type { Sheen } from '@/core/craft/sheen'
import type { TopcoatCode } from '@/core/craft/topcoats'
import type { Colour } from './shade'
import type { Touch } from './touch'

export type { Colour } from './shade'
export interface FinishablePart {
  substrate: SubstrateCode
  existing: ExistingFinishCode
  lead: LeadFinding
  use: UseCode
  areaM2: number
  /** the share of it that is turned, ringed or carved, 0 to 1 */
  turned?: number
  /** knots to seal; counted for knotty softwood */
  knots?: number | undefined
  /** a test patch bled, or dye stain is known */
  bleeds?: boolean
  /** what lies over the finish; not looked for unless given */
  polish?: Polish
  /** a patch of paint came off */
  slips?: boolean
  /** painted on both sides: doors, shelves, loose leaves */
  twoSided?: boolean | undefined
  /** the face that a pattern is set out on; none where it was not measured as one */
  face?: Face | undefined
  /** the colour of old paint, #rrggbb; not known unless given */
  foundColour?: string | null
}
export interface FinishWish {
  look: LookCode
  /** looks laid over it: texture under crackle, dark wax over a wash */
  with?: readonly LookCode[] | undefined
  paint: FamilyCode
  colours: Partial<Record<Slot, Colour>>
  /** the topcoat, where the house's and the look's own is not wanted */
  seal?: TopcoatCode | undefined
  /** how much it is to shine; as it comes unless given */
  sheen?: Sheen | undefined
  /** the painter's own list, bottom up, where it is no longer the look's; a topcoat in it is the topcoat */
  touches?: readonly Touch[] | undefined
}

export const looksOf = (wish: Pick<FinishWish, 'look' | 'with'>): Look[] => [wish.look, ...(wish.with ?? [])].map(getLook)
