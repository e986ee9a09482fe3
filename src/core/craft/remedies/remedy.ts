/** What a repair is, and the lines that several share. */
import type { OperationCode } from '@/core/craft/operations'
import { addedLine } from '@/core/craft/preparation'
import type { RecipeLine } from '@/core/craft/recipe'
import { deLint } from '@/core/craft/topcoats'

/**
 * What lies on top where the mistake is. `set`: paint that water no longer moves; `open`: paint that it lifts, and nothing seals yet;
 * `veneer`: nothing yet, to be painted, or kept to be seen.
 */
export type TopKind =
  'clear' | 'wax' | 'oil' | 'wash' | 'crackle' | 'set' | 'open' | 'veneer' | 'veneer-kept' | 'bare-look' | 'soft'
/**
 * What is laid again in a repair: the layer on top as it was laid; as many coats of it as it needs over a primer; every layer of
 * colour from the lowest; the layer below the top, in its colour; the wear as it was worn; the tinted wax as it was tinted.
 */
export type Take = 'again' | 'cover' | 'layers' | 'below' | 'wear' | 'tint'
export type RemedyLine = RecipeLine | { take: Take; line?: Partial<RecipeLine> }

export interface Remedy {
  words: string
  cause: string
  /** how it is mended, in a sentence */
  remedy: string
  steps: readonly RemedyLine[]
  /** where something else lies on top, these instead; the first that fits */
  onTop?: Partial<Record<TopKind, readonly RemedyLine[]>>
  /** it can show only once one of these was done; any time unless given */
  after?: readonly OperationCode[]
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
export const layers: RemedyLine = { take: 'layers' }
export const wearAgain: RemedyLine = { take: 'wear' }
export const tintAgain: RemedyLine = { take: 'tint' }
export const block: RecipeLine = addedLine({ operation: 'block-prime' })
