/** What another way changes, in words. */
import { getFamily } from '@/core/craft/families'
import { getLook } from '@/core/craft/looks'
import { getTopcoat } from '@/core/craft/topcoats'
import type { Change } from '@/core/plan/alternatives'
import { schoolChoiceWords, schoolWords } from './method'

export function changeWords(change: Change): string {
  if (change.kind === 'look') return `Look: ${getLook(change.to).words.toLowerCase()}`
  if (change.kind === 'paint') return `In ${getFamily(change.to).words}`
  if (change.kind === 'seal') return `Topcoat: ${getTopcoat(change.to).words}`
  return `${schoolWords[change.code]}: ${schoolChoiceWords(change.code, change.to)}`
}
