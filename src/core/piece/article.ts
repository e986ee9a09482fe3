/** What an article is begun from: its size, how many of what it has, and all that follows. Lengths in mm. Types and what is asked. */
import type { Counted } from '@/core/craft/job'
import type { PartKind, UseCode } from '@/core/craft/parts'
import type { MeasuredFace } from '@/core/measure/surfaceArea'

export interface PartTemplate {
  name: string
  kind: PartKind
  count: number
  /** where it will live, where that is another than the house's usual */
  use?: UseCode
  surfaces: readonly MeasuredFace[]
}
/** What is asked of an article beside its size. */
export const asks = ['alike', 'drawers', 'doors', 'shelves'] as const
export type Ask = (typeof asks)[number]
export interface Size {
  width: number
  depth: number
  height: number
}
export interface ArticleFacts extends Size {
  of: Readonly<Partial<Record<Ask, number>>>
}
/** A front view, in mm from the floor's left: boxes to be drawn. */
export interface FrontBox {
  is: 'body' | 'drawer' | 'door' | 'leg' | 'top' | 'shelf' | 'pane'
  x: number
  y: number
  width: number
  height: number
}
export interface Article {
  words: string
  size: Size
  of: Readonly<Partial<Record<Ask, number>>>
  parts: (facts: ArticleFacts) => PartTemplate[]
  counted: (facts: ArticleFacts) => Counted
  front: (facts: ArticleFacts) => FrontBox[]
}
