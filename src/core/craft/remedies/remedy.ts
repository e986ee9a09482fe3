/** What a repair is, and the lines that several share. */
import type { OperationCode } from '@/core/craft/operations'
import { addedLine } from '@/core/craft/preparation'
import type { RecipeLine } from '@/core/craft/recipe'
import { deLint } from '@/core/craft/topcoats'

/**
 * What it is that the mistake shows in, or what lies over it. `set`: paint that water no longer moves, or a seal over it; `open`: paint
 * that it lifts, and nothing seals yet; `veneer`: nothing yet, to be painted, or kept to be seen; `wax`: wax is over it.
 */
export type TopKind =
  | 'clear'
  | 'wax'
  | 'wash'
  | 'glaze'
  | 'crackle'
  | 'set'
  | 'open'
  | 'veneer'
  | 'veneer-kept'
  | 'stained'
  | 'bare-look'
  | 'cloth'
  | 'soft'
/**
 * What is laid again in a repair. `again`: the layer that the mistake shows in, as it was laid; `top`: whatever lies on top; `colour`:
 * the last colour; `layers`: every colour that is still seen, from the lowest; `cover`: those, the lowest as often as it covers a primer;
 * `anew`: all that was done to bring the colours about, worn and masked and all; `below`: the layer below the last, in its colour; `wear`:
 * as it was worn; `tint`: the wax as it was tinted.
 */
export type Take = 'again' | 'top' | 'colour' | 'layers' | 'cover' | 'anew' | 'below' | 'wear' | 'tint'
export type RemedyLine = RecipeLine | { take: Take; line?: Partial<RecipeLine> }

export interface Remedy {
  words: string
  cause: string
  /** how it is mended, in a sentence */
  remedy: string
  steps: readonly RemedyLine[]
  /** where it shows in something else, or under it, these instead; the first that fits */
  onTop?: Partial<Record<TopKind, readonly RemedyLine[]>>
  /** it can show only once one of these was done; any time unless given */
  after?: readonly OperationCode[]
  /** the layer that it shows in, where that is none of those */
  shownIn?: readonly OperationCode[]
  /** and only where one of these lies below it */
  over?: readonly OperationCode[]
  /** and only once one of these followed */
  under?: readonly OperationCode[]
  /** and only until one of these was done all over: it is covered, or gone with what it was in */
  until?: readonly OperationCode[]
  /** and only while nothing was laid since */
  uncovered?: true
  /** and only while one of these is still to come */
  ahead?: readonly OperationCode[]
  /** steps still ahead that the repair does in its own way: the first of each is not worked again */
  replaces?: readonly OperationCode[]
  /** its own steps that are left to the plan where they are still to come */
  leaves?: readonly OperationCode[]
  /** the share of the part it usually takes */
  share: number
}

export const worn: readonly OperationCode[] = ['wet-distress', 'dry-distress', 'scrape-distress']
/** What lays colour or a clear. */
export const lays: readonly OperationCode[] = [
  'undercoat',
  'coat',
  'texture-coat',
  'crackle-coat',
  'wash',
  'glaze',
  'dry-brush',
  'blend',
  'spray-runs',
  'fabric-coat',
  'clear-coat',
]
export const rub = (grit: string): RecipeLine => ({ phase: 'wear', operation: 'smooth', grit, reason: 'smooth-between' })
export const dust: RecipeLine = { phase: 'wear', operation: 'dust-off', reason: 'dust-defeats-paint' }
export const lint: RecipeLine = deLint
export const again: RemedyLine = { take: 'again' }
export const cover: RemedyLine = { take: 'cover' }
export const anew: RemedyLine = { take: 'anew' }
export const colour: RemedyLine = { take: 'colour' }
export const onTop: RemedyLine = { take: 'top' }
/** Coats that hide what is below them. */
export const hides: readonly OperationCode[] = ['coat', 'undercoat', 'texture-coat', 'crackle-coat']
export const layers: RemedyLine = { take: 'layers' }
export const wearAgain: RemedyLine = { take: 'wear' }
export const tintAgain: RemedyLine = { take: 'tint' }
export const block: RecipeLine = addedLine({ operation: 'block-prime' })
