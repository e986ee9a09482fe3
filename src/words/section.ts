/** A section read aloud. */
import type { CrossSection } from '@/core/piece/section'
import { whereWords } from './where'

const wearWords = {
  none: '',
  edges: ', worn back at the edges',
  through: ', worn to the wood at the edges',
  grain: ', wiped back into the grain',
}

/** "Section: knotty softwood, then …": the layers bottom up, wet and planned ones named so. */
export function sectionWords({ substrate, layers, wear }: CrossSection): string {
  const said = layers.map(({ words, state, where }) => {
    const facts = [whereWords(where), state === 'there' ? '' : state].filter(Boolean).join(', ')
    return facts ? `${words} (${facts})` : words
  })
  return `Section: ${[substrate.words, ...said].join(', then ')}${wearWords[wear]}`
}
