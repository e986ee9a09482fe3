/** What is said where a finish can't be had. Types only. */
import type { FamilyCode } from '@/core/craft/families'
import type { LookCode } from '@/core/craft/looks'
import type { Sheen } from '@/core/craft/sheen'
import type { TopcoatCode } from '@/core/craft/topcoats'
import type { Touch } from './touch'

export type RefusalCode =
  | 'pile'
  | 'material'
  | 'soft-use'
  | 'lead'
  | 'paint'
  | 'not-combinable'
  | 'seal-use'
  | 'no-seal'
  | 'sheen'
  | 'colour-missing'
  | 'layers'

/** What of the wish would have to be another. */
export interface Nearest {
  look?: LookCode
  paint?: FamilyCode
  seal?: TopcoatCode | undefined
  sheen?: Sheen | undefined
  with?: readonly LookCode[]
  touches?: readonly Touch[] | undefined
}
export interface FinishRefusal {
  code: RefusalCode
  nearest: Nearest | null
  /** the touch that it is about, in the painter's own list */
  touch?: string
  /** the rule of the stack that stands in the way */
  rule?: string
}
