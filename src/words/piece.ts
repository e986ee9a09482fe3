/** Stages, outcomes and kinds of entry, in words. */
import type { EntryKind } from '@/core/log/entry'
import type { StageCode } from '@/core/piece/lanes'
import type { LedgerKind } from '@/core/piece/ledger'
import type { Snag } from '@/core/piece/snags'
import { spanWords } from './time'

export const stageWords: Record<StageCode, string> = {
  'just-in': 'just in',
  'under-way': 'under way',
  resting: 'resting',
  ready: 'ready to list',
  listed: 'listed',
  ended: 'has left',
}

export const entryWords: Record<EntryKind, string> = {
  started: 'Started',
  ended: 'Ended',
  'left-out': 'Left out',
  paused: 'Paused',
  resumed: 'Taken up again',
  helped: 'Helped',
  checked: 'Checked',
  seen: 'Felt it',
  assisted: 'Set to dry faster',
  unassisted: 'Left to dry by itself',
  snag: 'Snag',
  mixed: 'Mixed',
  'put-by': 'Left of a mix',
  coat: 'Coat',
  cost: 'Cost',
  note: 'Note',
  listed: 'Listed',
  sold: 'Sold',
  'handed-over': 'Handed over',
  kept: 'Kept',
  given: 'Given away',
  scrapped: 'Scrapped',
  amended: 'Facts changed',
  split: 'Set split',
  struck: 'Struck out',
}

export const ledgerWords: Record<LedgerKind, string> = {
  bought: 'Bought for',
  fetching: 'Fetching',
  materials: 'Materials',
  consumables: 'Consumables',
  hardware: 'Hardware',
  overhead: 'Overhead',
  delivery: 'Delivery',
  other: 'Other',
}

/** What a share of a price pays for. */
export const shareWords = (kind: string): string =>
  ({ fees: 'The place it is sold at', tax: 'Tax', hours: 'The hours, at their rate', left: 'Left over', ...ledgerWords })[kind] ??
  kind

/** What mending still asks for: work, and time to dry; null where nothing of it is ahead. */
export function toMendWords({ ahead, workAhead, dryAhead }: Pick<Snag, 'ahead' | 'workAhead' | 'dryAhead'>): string | null {
  if (ahead === 0) return null
  const steps = ahead === 1 ? 'one step' : `${ahead} steps`
  return `${steps} to mend it: ${spanWords(workAhead)} of work${dryAhead > 0 ? `, ${spanWords(dryAhead)} to dry` : ''}`
}
