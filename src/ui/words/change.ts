/** What another way changes, in words. */
import { getFamily } from '../../core/finish/families'
import { getLook } from '../../core/finish/looks'
import { getSeal } from '../../core/finish/seals'
import type { Change } from '../../core/plan/alternatives'
import { schoolChoiceWords, schoolWords } from './method'

export function changeWords(change: Change): string {
  if (change.kind === 'look') return `Look: ${getLook(change.to).words.toLowerCase()}`
  if (change.kind === 'paint') return `In ${getFamily(change.to).words}`
  if (change.kind === 'seal') return `Topcoat: ${getSeal(change.to).words}`
  return `${schoolWords[change.code]}: ${schoolChoiceWords(change.code, change.to)}`
}
