/** What a repair is, and the lines that several share. */
import { primers } from '@/core/craft/preparation'
import type { RecipeLine } from '@/core/craft/recipe'
import { clearLine, waxed } from '@/core/craft/topcoats'

export interface Remedy {
  words: string
  cause: string
  /** how it is mended, in a sentence */
  remedy: string
  /** the steps; a coat among them is laid in the colour of the layer it mends */
  steps: readonly RecipeLine[]
  /** the share of the part it usually takes */
  share: number
}

export const rub = (grit: string): RecipeLine => ({ phase: 'wear', operation: 'smooth', grit, reason: 'smooth-between' })
export const dust: RecipeLine = { phase: 'wear', operation: 'dust-off', reason: 'dust-defeats-paint' }
export const again: RecipeLine = { phase: 'top', operation: 'coat', paint: 'a', applicator: 'synthetic brush', reason: 'cover' }
export const clear: RecipeLine = { ...clearLine('water-clear'), times: 1, between: [] }
export const block: RecipeLine = primers.bleeding
export const polish = waxed.slice(-1)
