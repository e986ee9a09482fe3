/** An entry put right: what a kind carries is taken from what was typed, the rest stays as it was. Pure. */
import type { Film } from '@/core/measure/film'
import type { ChannelId, EntryId, Instant, ProductId } from '@/core/measure/named'
import type { CostKind, Entry, EntryDraft } from './entry'

/** What a correction may say; each kind takes its own. */
export interface Correction {
  entryId: EntryId
  at: Instant
  note: string | null
  minutes: number | null
  productId: ProductId | null
  mix: string | null
  amount: number | null
  applicator: string | null
  film: Film | null
  costKind: CostKind | null
  money: number | null
  fees: number | null
  channelId: ChannelId | null
}

/**
 * The entry that stands in place of `old`; null where it can't be put right so: a mix is named by its coats and is struck and
 * mixed anew, a price or a note must be there, a change of facts is changed again.
 */
export function correctedEntry(old: Entry, typed: Correction): EntryDraft | null {
  const { recordedAt: _, writtenBy: __, ...kept } = old
  // a time is typed to the minute: the same minute is the same moment, and keeps its place in the log
  const at = minuteOf(typed.at) === minuteOf(old.at) ? old.at : typed.at
  const base = { id: typed.entryId, at, corrects: old.id, note: typed.note }
  switch (kept.kind) {
    case 'coat': {
      const { coat } = kept
      const sameTin = typed.productId === coat.productId
      return {
        ...kept,
        ...base,
        coat: {
          ...coat,
          productId: typed.productId,
          lotId: sameTin ? coat.lotId : null,
          // taken from a tin now: no mix was
          batchId: sameTin ? coat.batchId : null,
          mix: typed.mix,
          amount: typed.amount ?? coat.amount,
          applicator: typed.applicator,
          film: typed.film ?? coat.film,
        },
      }
    }
    case 'ended':
      return { ...kept, ...base, minutes: typed.minutes }
    case 'helped':
      return { ...kept, ...base, minutes: typed.minutes ?? kept.minutes }
    case 'cost':
      return typed.money === null ? null : { ...kept, ...base, costKind: typed.costKind ?? kept.costKind, money: typed.money }
    case 'listed':
      return typed.money === null ? null : { ...kept, ...base, channelId: typed.channelId ?? kept.channelId, money: typed.money }
    case 'sold':
      return typed.money === null
        ? null
        : { ...kept, ...base, channelId: typed.channelId ?? kept.channelId, money: typed.money, fees: typed.fees ?? 0 }
    case 'handed-over':
      return typed.money === null ? null : { ...kept, ...base, money: typed.money, fees: typed.fees ?? 0 }
    case 'note':
      return typed.note === null ? null : { ...kept, ...base }
    case 'mixed':
    case 'put-by':
    case 'amended':
    case 'split':
    case 'struck':
      return null
    case 'started':
    case 'paused':
    case 'resumed':
    case 'left-out':
    case 'checked':
    case 'seen':
    case 'assisted':
    case 'unassisted':
    case 'snag':
    case 'kept':
    case 'given':
    case 'scrapped':
      return { ...kept, ...base }
  }
}

const minuteOf = (instant: Instant): number => Math.floor(Date.parse(instant) / 60_000)
