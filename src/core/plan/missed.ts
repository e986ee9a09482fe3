/** What a missed window asks for: the repair that makes up for it, and its minutes on a part. Source: the craft's windows. */
import type { RemedyCode } from '@/core/craft/remedies'
import type { PastCode } from '@/core/craft/windows'
import type { PlannedStep } from '@/core/finish/step'
import { remedySteps, type Spoiled } from './remedySteps'

export const remedyOf: Record<PastCode, RemedyCode> = {
  slower: 'hard-overnight',
  'scuff-first': 'clear-too-old',
  'wax-again': 'tack-missed',
  'new-wax-softens': 'wax-tacky',
  'abrade-instead': 'knocked-late',
  'score-edge': 'ragged-edges',
  'rub-fresh-oil': 'oil-tacky',
  'no-chips': 'no-chips',
  're-apply': 'stripper-dried',
}

/** Minutes that a missed window costs on a part, by the norms: where the work only grows harder, three times its own. */
export function costOfMissing(past: PastCode, next: Pick<PlannedStep, 'minutes'>, spoiled: Spoiled): number {
  if (past === 'slower') return 2 * next.minutes
  return remedySteps(remedyOf[past], spoiled).reduce((sum, { minutes }) => sum + minutes, 0)
}
