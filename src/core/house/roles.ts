/** What people are in a studio, and what each may write there; the database holds to the same table. Pure tables. */
import type { EntryKind } from '../log/entry'

export const roles = ['owner', 'painter', 'bookkeeper', 'helper'] as const
export type Role = (typeof roles)[number]

/** Clocks, coats, checks, photographs, the air. */
const work = [
  'entry of work',
  'draw',
  'mix_component',
  'mix_step',
  'sent',
  'photo',
  'photo_rendition',
  'lot',
  'reading',
  'air_mean',
] as const
/** What a client is offered, says and pays. */
const commissions = ['quote', 'quote_answer', 'payment_request', 'payment', 'receipt'] as const
/** Pieces and their plans, the week, what the studio learned. */
const plans = [
  'entry of plan',
  'piece',
  'part',
  'surface',
  'plan',
  'step',
  'recipe',
  'week_plan',
  'other_day',
  'air_forecast',
  'drying_figure',
  'calendar_feed',
  'room',
  'client_page',
  'client_photo',
  'client_link',
  'client_word',
  'bid',
  'tin_count',
  ...commissions,
] as const
/** Of what else than work an entry is, by its kind; what strikes another is of what it strikes. The database holds to the same table. */
const entriesOf: Partial<Record<EntryKind, 'plan' | 'money'>> = {
  amended: 'plan',
  split: 'plan',
  'left-out': 'plan',
  cost: 'money',
  listed: 'money',
  sold: 'money',
  'handed-over': 'money',
  kept: 'money',
  given: 'money',
  scrapped: 'money',
}
/** As {@link mayWrite} names it. */
export const entryOf = (kind: EntryKind): string => `entry of ${entriesOf[kind] ?? 'work'}`

/** What each may read beside the work itself; an owner everything. */
export const mayRead: Readonly<Record<Exclude<Role, 'owner'>, readonly string[]>> = {
  painter: ['money'],
  bookkeeper: ['money'],
  helper: [],
}
/** What each may write, by table; an owner everything. Of the log by what an entry is of. */
export const mayWrite: Readonly<Record<Exclude<Role, 'owner'>, readonly string[]>> = {
  painter: [...work, ...plans, 'entry of money', 'product'],
  bookkeeper: [
    ...[
      'entry of money',
      'sent',
      'lot',
      'product',
      'draw',
      'piece',
      'channel',
      'calendar_feed',
      'client_word',
      'bid',
      'tin_count',
    ],
    ...commissions,
  ],
  helper: work,
}

/** Whether somebody may write what is named in {@link mayWrite}. */
export const may = (role: Role, what: string): boolean => role === 'owner' || mayWrite[role].includes(what)
