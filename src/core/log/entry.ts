/**
 * One line of the log. The log only grows: an entry that corrects another names it and stands in its place.
 * Instants ISO 8601 UTC, money in minor units, minutes of labour, amounts in ml or g.
 */
import type { CheckCode } from '@/core/craft/operations'
import type { RemedyCode } from '@/core/craft/remedies'
import type { ChannelId, EntryId, Instant, PartId, PersonId, PhotoId, PieceId, StepId } from '@/core/measure/named'
import type { BatchFigures, CoatFigures, RestFigures } from './figures'

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
  'put-by',
  'coat',
  'cost',
  'note',
  'listed',
  ...(Object.keys(outcomes) as Outcome[]),
  'amended',
  'split',
  'struck',
] as const
export type EntryKind = (typeof entryKinds)[number]

export const severities = { slight: 'slight', plain: 'plain to see', grave: 'must be mended' } as const
export type SnagSeverity = keyof typeof severities
export const verdicts = ['pass', 'fail', 'later'] as const
/** An answer to a check. */
export type Verdict = (typeof verdicts)[number]
export const touches = ['dry', 'wet'] as const
/** What a finger found. */
export type Touch = (typeof touches)[number]
export const assistKinds = ['fan', 'heatGun'] as const
export type AssistKind = (typeof assistKinds)[number]

/** A place on a photograph, as shares of its width and height from the top left. */
export interface Mark {
  photoId: PhotoId
  x: number
  y: number
}

/** Facts before and after, by name. */
export type Change = Record<string, [before: string | null, after: string | null]>

/** What went over to another piece when a set was split: added here, taken off there. Minor units by kind of cost, minutes. */
export interface SplitShare {
  /** the other piece */
  pieceId: PieceId
  /** 1 where it came here, -1 where it went from here */
  sign: 1 | -1
  costs: Partial<Record<CostKind, number>>
  minutes: number
}

interface OnPart {
  partId: PartId
}
interface OnStep extends OnPart {
  stepId: StepId
}
interface Paid {
  /** the price */
  money: number
  /** what the channel really took of it */
  fees: number
}

/** What an entry carries, by its kind, beside what all of them do. */
interface EntryFacts {
  /** `outside`: begun before its window opened, or after it closed */
  started: OnStep & { outside: 'early' | 'late' | null }
  /** `laid`: the first of its two sides is; it waits to be turned */
  paused: OnStep & { detail: { laid: true } | null }
  resumed: OnStep
  /** `minutes`: labour typed by hand; wins over the clock. `money`: what small things it used up; null where nobody reckoned it */
  ended: OnStep & { minutes: number | null; money: number | null }
  'left-out': OnStep
  helped: OnStep & { minutes: number }
  checked: OnStep & { checkCode: CheckCode; result: Verdict }
  seen: OnStep & { result: Touch }
  assisted: OnPart & { assist: AssistKind }
  unassisted: OnPart & { assist: AssistKind }
  /** `spot`: where on the part, a ninth of its face: 0 top left to 8 bottom right */
  snag: OnPart & { remedy: RemedyCode | null; severity: SnagSeverity; spot: number | null; mark: Mark | null }
  /** `money`: what went into it */
  mixed: { batch: BatchFigures; money: number }
  /** `money`: its share of what went into the mix */
  'put-by': { rest: RestFigures; money: number }
  /** `money`: the material; the air as it was where the entry was made */
  coat: OnPart & { coat: CoatFigures; money: number; temperature: number | null; humidity: number | null }
  cost: { costKind: CostKind; money: number }
  note: object
  /** `money`: the ask */
  listed: { channelId: ChannelId; money: number }
  sold: Paid & { channelId: ChannelId }
  'handed-over': Paid & { channelId: ChannelId | null }
  kept: object
  given: object
  scrapped: object
  amended: { detail: Change }
  split: { detail: SplitShare }
  struck: { corrects: EntryId }
}

interface EntryBase {
  /** UUIDv7, made where the entry was made */
  id: EntryId
  pieceId: PieceId
  partId: PartId | null
  stepId: StepId | null
  /** when it happened */
  at: Instant
  /** when it was written down */
  recordedAt: Instant
  /** whose hands it was */
  personId: PersonId | null
  /** who wrote it, by the session it came in */
  writtenBy: PersonId | null
  /** the entry this one stands in place of */
  corrects: EntryId | null
  note: string | null
}
/** An entry of one kind. */
export type EntryOf<K extends EntryKind> = K extends EntryKind
  ? Omit<EntryBase, keyof EntryFacts[K]> & EntryFacts[K] & { kind: K }
  : never
export type Entry = EntryOf<EntryKind>

type MayBeNull<T> = { [K in keyof T]-?: null extends T[K] ? K : never }[keyof T]
type Loose<T> = T extends Entry
  ? Omit<T, MayBeNull<T> | 'recordedAt'> & Partial<Pick<T, MayBeNull<T>>> & { recordedAt?: Instant }
  : never
/** An entry on its way in: what it does not say is left out. */
export type EntryDraft = Loose<Entry>

const unsaid: { [K in EntryKind]: Partial<EntryOf<K>> } = {
  started: { outside: null },
  paused: { detail: null },
  resumed: {},
  ended: { minutes: null, money: null },
  'left-out': {},
  helped: {},
  checked: {},
  seen: {},
  assisted: {},
  unassisted: {},
  snag: { remedy: null, spot: null, mark: null },
  mixed: {},
  'put-by': {},
  coat: { temperature: null, humidity: null },
  cost: {},
  note: {},
  listed: {},
  sold: {},
  'handed-over': { channelId: null },
  kept: {},
  given: {},
  scrapped: {},
  amended: {},
  split: {},
  struck: {},
}
const unsaidByAll = { partId: null, stepId: null, personId: null, writtenBy: null, corrects: null, note: null }

/** A draft as the entry it will be: what it does not say is empty, and it is written down when it happened. */
export const wholeEntry = (draft: EntryDraft): Entry =>
  ({ ...unsaidByAll, ...unsaid[draft.kind], recordedAt: draft.at, ...draft }) as Entry

/** Narrows a log to the entries of some kinds. */
export const ofKind = <K extends EntryKind>(log: readonly Entry[], ...kinds: K[]): EntryOf<K>[] =>
  log.filter((entry): entry is EntryOf<K> => (kinds as EntryKind[]).includes(entry.kind))

/** The entries by which a piece leaves. */
export type EndingEntry = EntryOf<Outcome>
export const isEnding = (entry: Entry): entry is EndingEntry => entry.kind in outcomes
