/** The work around the paint in words: what is counted, where a step stands, what is done instead of a finish. */
import type { CountCode, Side } from '@/core/craft/job'
import { getLook } from '@/core/craft/looks'
import { sheens } from '@/core/craft/sheen'
import type { Held } from '@/core/piece/lanes'
import type { CareCode, Plan } from '@/core/piece/piece'

export const countWords: Record<CountCode, string> = {
  fittings: 'Fittings that come off and go back',
  newFittings: 'New fittings',
  holes: 'Old holes to fill',
  joints: 'Loose joints',
  legs: 'Legs to shorten',
  feet: 'Feet that stand on the floor',
  panes: 'Panes and mirrors to mask',
  drawers: 'Drawers',
  tears: 'Tears in the cloth',
}
export const sideWords: Record<Side, string> = { before: 'Before the paint', after: 'After the paint' }
export const careWords: Record<CareCode, string> = {
  untouched: 'Stays as it is, untouched',
  cleaned: 'Stays as it is, cleaned',
  waxed: 'Stays as it is, cleaned and waxed',
  job: 'The work around the paint',
}
/** What a step waits for that no clock tells. */
export const heldWords: Record<Held, string> = {
  'whole-first': 'The work before the paint comes first.',
  'paint-first': 'It comes when every part is painted and may be handled.',
}
/** What a plan makes of a part. */
export const planWords = ({ care, look, sheen }: Pick<Plan, 'care' | 'look' | 'sheen'>): string =>
  care ? careWords[care] : [getLook(look).words, sheen && sheens[sheen]].filter(Boolean).join(', ')
