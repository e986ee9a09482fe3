/**
 * What pieces that have left taught: what an hour earned and what was left, by look, article, source, place, month and painter; how
 * long they were from door to door, and where those days went. Money in minor units, hours as decimals; pure.
 */
import type { LookCode } from '@/core/craft/looks'
import { ofKind, type Outcome } from '@/core/log/entry'
import { labourOf, stepClocks, workIn } from '@/core/log/labour'
import { compareText } from '@/core/measure/compareText'
import type { ChannelId, Instant, PersonId, PieceId } from '@/core/measure/named'
import { dayOf } from '@/core/measure/time'
import { areaOfPart } from '@/core/piece/area'
import type { ArticleCode } from '@/core/piece/articles'
import type { Journey } from '@/core/piece/journey'
import { lanesOf } from '@/core/piece/lanes'
import { boughtIn, daysHere, earnedBy, ledgerSoFar, type PricingTerms, taxFor } from '@/core/piece/ledger'
import type { Source } from '@/core/piece/piece'
import { shareOut } from '@/core/price/offer'
import { taxOf } from '@/core/price/priceFor'

export interface Result {
  pieceId: PieceId
  name: string
  endedAt: Instant
  outcome: Outcome
  article: ArticleCode | null
  source: Source
  /** of its largest part; null where nothing was painted */
  look: LookCode | null
  channelId: ChannelId | null
  /** whose hands were on it longest */
  painterId: PersonId | null
  /** YYYY-MM on the studio's wall */
  month: string
  price: number
  fees: number
  /** of a month's rent of the place, what this sale bore; within what is left */
  rent: number
  tax: number
  cost: number
  hours: number
  /** of those of its steps that were ended: what the plan gave them */
  plannedHours: number
  left: number
  days: { door: number; hands: number; onSale: number }
}
/** Null where the piece has not left. `credited`: what was taken back of its price. */
export function resultOf(journey: Journey, terms: PricingTerms, zone: string, credited = 0): Result | null {
  const { ending, file, log } = journey
  if (!ending) return null
  const { piece, parts } = file
  const { entry, outcome } = ending
  const endMs = Date.parse(entry.at)
  const door = daysHere(journey, endMs)
  const book = ledgerSoFar(journey, terms, door)
  const paid = 'money' in entry ? entry : null
  const labour = labourOf(stepClocks(workIn(log), endMs))
  const hands = new Map<string, number>()
  for (const own of labour.values()) for (const [person, minutes] of own) hands.set(person, (hands.get(person) ?? 0) + minutes)
  const [painter] = [...hands].sort(([one, a], [other, b]) => b - a || compareText(one, other))
  const [largest] = parts
    .filter(({ plan }) => plan && plan.care === undefined)
    .sort((one, other) => areaOfPart(other) - areaOfPart(one))
  const done = lanesOf(journey).flatMap((lane) => lane.done)
  const listedAt = ofKind(log, 'listed')[0]?.at
  const price = Math.max(0, (paid?.money ?? 0) - credited)
  return {
    ...{ pieceId: piece.id, name: piece.name, endedAt: entry.at, outcome, article: piece.article, source: piece.source },
    look: largest?.plan?.look ?? null,
    channelId: paid?.channelId ?? null,
    painterId: painter?.[0] ? painter[0] : null,
    month: dayOf(entry.at, zone).slice(0, 7),
    ...{
      price,
      fees: paid?.fees ?? 0,
      rent: 0,
      tax: taxOf(price, taxFor(terms, boughtIn(book.lines))),
      cost: book.total,
      hours: book.hours,
    },
    plannedHours: done.reduce((sum, { step }) => sum + step.minutes, 0) / 60,
    left: paid ? earnedBy(book, terms, price, paid.fees).left : -book.total,
    days: {
      door,
      hands: new Set(done.map(({ state }) => dayOf(state.endedAt, zone))).size,
      onSale: listedAt === undefined ? 0 : Math.max(0, Math.ceil((endMs - Date.parse(listedAt)) / 86_400_000)),
    },
  }
}

/**
 * A month's rent of a place, borne alike by what it sold in that month. `isCut`: there were earlier pieces; of the oldest month nobody
 * knows how many shared it, and it bears none.
 */
export function bearRents(results: readonly Result[], rents: ReadonlyMap<ChannelId, number>, isCut: boolean): Result[] {
  const oldest = isCut ? results.map(({ month }) => month).sort()[0] : undefined
  const sharing = new Map<string, Result[]>()
  for (const result of results) {
    if (!isPaid(result) || result.channelId === null || result.month === oldest) continue
    const key = `${result.channelId} ${result.month}`
    sharing.set(key, [...(sharing.get(key) ?? []), result])
  }
  const borne = new Map(
    [...sharing.values()].flatMap((own) => {
      const rent = rents.get(own[0]?.channelId ?? '') ?? 0
      const shares = shareOut(
        rent,
        own.map(() => 1),
      )
      return own.map((result, k): [Result, number] => [result, shares[k] ?? 0])
    }),
  )
  return results.map((result) => {
    const rent = borne.get(result) ?? 0
    return { ...result, rent, left: result.left - rent }
  })
}

export const taughtBy = ['look', 'article', 'source', 'channel', 'month', 'painter'] as const
export type TaughtBy = (typeof taughtBy)[number]
const keyOf: Record<TaughtBy, (result: Result) => string | null> = {
  look: ({ look }) => look,
  article: ({ article }) => article,
  source: ({ source }) => source,
  channel: ({ channelId }) => channelId,
  month: ({ month }) => month,
  painter: ({ painterId }) => painterId,
}
export interface Lesson {
  /** null: it is not known */
  key: string | null
  pieces: number
  hours: number
  left: number
  /** money an hour; null without hours */
  earned: number | null
  /** of the middle piece */
  doorDays: number
}
export const isPaid = ({ outcome }: Pick<Result, 'outcome'>): boolean => outcome === 'sold' || outcome === 'handed-over'

const middle = (figures: readonly number[]): number =>
  [...figures].sort((a, b) => a - b)[Math.floor((figures.length - 1) / 2)] ?? 0

/** Pieces that were paid for, by what is asked: months in their order, all else by what an hour earned, the most first. */
export function lessonsBy(results: readonly Result[], by: TaughtBy): Lesson[] {
  const groups = new Map<string | null, Result[]>()
  for (const result of results.filter(isPaid)) {
    const key = keyOf[by](result)
    groups.set(key, [...(groups.get(key) ?? []), result])
  }
  const lessons = [...groups].map(([key, own]): Lesson => ({ key, ...sumOf(own) }))
  return lessons.sort((one, other) =>
    by === 'month'
      ? compareText(one.key ?? '', other.key ?? '')
      : (other.earned ?? -Infinity) - (one.earned ?? -Infinity) || compareText(one.key ?? '', other.key ?? ''),
  )
}
/** All of them together. */
export function sumOf(results: readonly Result[]): Omit<Lesson, 'key'> {
  const hours = results.reduce((sum, each) => sum + each.hours, 0)
  const left = results.reduce((sum, each) => sum + each.left, 0)
  return {
    pieces: results.length,
    ...{ hours, left, earned: hours > 0 ? Math.round(left / hours) : null },
    doorDays: middle(results.map(({ days }) => days.door)),
  }
}
/** Where the days of the middle piece went: with hands on it, on sale, and all the rest, drying or waiting for hands. */
export function daysWent(results: readonly Result[]): { door: number; hands: number; onSale: number; rest: number } {
  const [door, hands, onSale] = (['door', 'hands', 'onSale'] as const).map((kind) =>
    middle(results.map(({ days }) => days[kind])),
  )
  return {
    door: door ?? 0,
    hands: hands ?? 0,
    onSale: onSale ?? 0,
    rest: Math.max(0, (door ?? 0) - (hands ?? 0) - (onSale ?? 0)),
  }
}
