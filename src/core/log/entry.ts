/**
 * One line of the log. The log only grows: an entry that corrects another names it and stands in its place.
 * Instants ISO 8601 UTC, money in minor units, minutes of labour, amounts in ml or g.
 */
import type { Film } from '../mix/coatVolumes'
import type { FamilyCode } from '../finish/families'
import type { RepairCode } from '../finish/repairs'
import type { CheckCode } from '../labour/operations'

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
  'paused',
  'resumed',
  'ended',
  'left-out',
  'helped',
  'checked',
  'seen',
  'assisted',
  'unassisted',
  'snag',
  'mixed',
  'coat',
  'cost',
  'note',
  'listed',
  ...(Object.keys(outcomes) as Outcome[]),
  'amended',
  'struck',
] as const
export type EntryKind = (typeof entryKinds)[number]

export const sheens = { flat: 'dead flat', matt: 'matt', satin: 'satin', gloss: 'gloss' } as const
export type Sheen = keyof typeof sheens
export const severities = { slight: 'slight', plain: 'plain to see', grave: 'must be mended' } as const
export type Severity = keyof typeof severities
/** `pass`, `fail`, `later` answer a check; `dry` and `wet` are what a finger found. */
export const results = ['pass', 'fail', 'later', 'dry', 'wet'] as const
export type Result = (typeof results)[number]

export interface CoatFigures {
  productId: string | null
  /** the tin it was taken from first; null where the shelf had none */
  lotId: string | null
  /** the mix it was taken from: the entry that made it up */
  batchId: string | null
  family: FamilyCode
  mix: string | null
  amount: number
  unit: 'ml' | 'g'
  applicator: string | null
  film: Film
  sheen: Sheen | null
  /** the section of the surface it went on, where not all of it */
  place: string | null
}

/** A mix made up for one coat or many. */
export interface BatchFigures {
  productId: string | null
  lotId: string | null
  family: FamilyCode
  mix: string
  /** of the ready mix */
  volume: number
  unit: 'ml' | 'g'
}

/** A place on a photograph, as shares of its width and height from the top left. */
export interface Mark {
  photoId: string
  x: number
  y: number
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
  batch: BatchFigures | null
  costKind: CostKind | null
  /** a cost, a coat's material, what went into a batch, the ask of a listing, the price of a sale */
  money: number | null
  /** what the channel really took of a sale */
  fees: number | null
  channelId: string | null
  note: string | null
  /** the answer to a check, or what a finger found */
  result: Result | null
  checkCode: CheckCode | null
  /** a step begun before its window opened, or after it closed */
  outside: 'early' | 'late' | null
  assist: 'fan' | 'heatGun' | null
  /** what was wrong, for a snag */
  repair: RepairCode | null
  severity: Severity | null
  /** where on the part, a ninth of its face: 0 top left to 8 bottom right */
  spot: number | null
  mark: Mark | null
  /** the air as it was where the entry was made */
  temperature: number | null
  humidity: number | null
  /** for `amended`: the piece's facts before and after, by name */
  detail: Record<string, [before: string | null, after: string | null]> | null
}

/** Instants and ids as they are written sort as they stand; thousands of them are sorted for a page. */
export const inOrder = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0)

/**
 * The entries that count, in order of time: each correction in place of what it corrects, struck ones gone.
 * Nothing is lost: the whole log still holds every line.
 */
export function effectiveLog(entries: readonly Entry[]): Entry[] {
  const replaced = new Set(entries.map(({ corrects }) => corrects))
  return entries
    .filter(({ id, kind }) => !replaced.has(id) && kind !== 'struck')
    .sort((a, b) => inOrder(a.at, b.at) || inOrder(a.id, b.id))
}

/** The entries an entry stands in place of, newest first. */
export function historyOf(entry: Entry, entries: readonly Entry[]): Entry[] {
  const before = entries.find(({ id }) => id === entry.corrects)
  return before ? [before, ...historyOf(before, entries)] : []
}

/** A new entry with all it does not say left empty. */
export const blankEntry: Omit<Entry, 'id' | 'pieceId' | 'kind' | 'at' | 'recordedAt'> = {
  partId: null,
  stepId: null,
  personId: null,
  corrects: null,
  minutes: null,
  coat: null,
  batch: null,
  costKind: null,
  money: null,
  fees: null,
  channelId: null,
  note: null,
  result: null,
  checkCode: null,
  outside: null,
  assist: null,
  repair: null,
  severity: null,
  spot: null,
  mark: null,
  temperature: null,
  humidity: null,
  detail: null,
}
