/**
 * One line of the log. The log only grows: an entry that corrects another names it and stands in its place.
 * Instants ISO 8601 UTC, money in minor units, minutes of labour, amounts in ml or g.
 */
import type { Film } from '../mix/coatVolumes'
import type { FamilyCode } from '../finish/families'

export const costKinds = {
  bought: 'bought for',
  fetching: 'fetching',
  materials: 'materials',
  consumables: 'consumables',
  hardware: 'hardware',
  delivery: 'delivery',
  other: 'other',
} as const
export type CostKind = keyof typeof costKinds

export const outcomes = {
  sold: 'sold',
  'handed-over': 'handed over',
  kept: 'kept',
  given: 'given away',
  scrapped: 'scrapped',
} as const
export type Outcome = keyof typeof outcomes

export const entryKinds = [
  'started',
  'ended',
  'left-out',
  'coat',
  'cost',
  'note',
  'listed',
  ...(Object.keys(outcomes) as Outcome[]),
  'amended',
  'struck',
] as const
export type EntryKind = (typeof entryKinds)[number]

export interface CoatFigures {
  productId: string | null
  family: FamilyCode
  mix: string | null
  amount: number
  unit: 'ml' | 'g'
  applicator: string | null
  film: Film
}

export interface Entry {
  /** UUIDv7, made where the entry was made */
  id: string
  pieceId: string
  partId: string | null
  stepId: string | null
  kind: EntryKind
  /** when it happened */
  at: string
  /** when it was written down */
  recordedAt: string
  personId: string | null
  /** the entry this one stands in place of */
  corrects: string | null
  /** labour typed by hand; wins over the clock */
  minutes: number | null
  coat: CoatFigures | null
  costKind: CostKind | null
  /** a cost, a coat's material, the ask of a listing, the price of a sale */
  money: number | null
  /** what the channel really took of a sale */
  fees: number | null
  channelId: string | null
  note: string | null
  /** for `amended`: the piece's facts before and after, by name */
  detail: Record<string, [before: string | null, after: string | null]> | null
}

/**
 * The entries that count, in order of time: each correction in place of what it corrects, struck ones gone.
 * Nothing is lost: the whole log still holds every line.
 */
export function effectiveLog(entries: readonly Entry[]): Entry[] {
  const replaced = new Set(entries.map(({ corrects }) => corrects))
  return entries
    .filter(({ id, kind }) => !replaced.has(id) && kind !== 'struck')
    .sort((a, b) => a.at.localeCompare(b.at) || a.id.localeCompare(b.id))
}

/** The entries an entry stands in place of, newest first. */
export function historyOf(entry: Entry, entries: readonly Entry[]): Entry[] {
  const before = entries.find(({ id }) => id === entry.corrects)
  return before ? [before, ...historyOf(before, entries)] : []
}
