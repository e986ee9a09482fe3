/** Layers of the painter's own list in words: what, where, how often. */
import { getFamily } from '@/core/craft/families'
import { getOperation } from '@/core/craft/operations'
import { ground, type Touch } from '@/core/finish/touch'
import { stepTitle } from './craft'
import { whereWords } from './where'

export const touchTitle = ({ operation, colour }: Pick<Touch, 'operation' | 'colour'>): string =>
  stepTitle({ operation, colour: colour ?? null, coat: null })

export const repeatWords: readonly [repeat: string, words: string][] = [
  ['as-it-covers', 'until it covers'],
  ['1', 'once'],
  ['2', 'twice'],
  ['3', 'three times'],
  ['4', 'four times'],
]
export const oftenWords = (repeat: Touch['repeat'] = 1): string =>
  repeatWords.find(([known]) => known === String(repeat))?.[1] ?? (repeat === 'by-use' ? 'as the use asks' : `${repeat} times`)

/** "clay paint · twice · edges · thin film": what is decided about a layer. */
export function touchFacts(touch: Touch, all: readonly Touch[]): string {
  const worn = touch.wearTo === ground ? 'to the wood' : all.find(({ id }) => id === touch.wearTo)
  return [
    touch.family && getFamily(touch.family).words,
    touch.repeat !== undefined && touch.repeat !== 1 && oftenWords(touch.repeat),
    whereWords(touch.where),
    touch.film && touch.film !== 'normal' && `${touch.film} film`,
    touch.mix,
    typeof worn === 'string' ? worn : worn && `down to ${touchTitle(worn).toLowerCase()}`,
    touch.chips && 'meant to chip',
  ]
    .filter(Boolean)
    .join(' · ')
}

/** "wash on and wipe back": an operation in a list to choose from. */
export const operationWords = (code: Touch['operation']): string => getOperation(code).words
