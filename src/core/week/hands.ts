/** Whose hands there are in a week, and when: each with their own hours, and days that are other than usual. Minutes from one moment on; pure. */
import type { Day, Instant, PersonId } from '@/core/measure/named'
import { dayAfter, dayOf, instantOf, weekdayOf } from '@/core/measure/time'
import type { WorkingHours } from '@/core/measure/workingHours'

export interface Hand {
  /** null where nobody is named */
  id: PersonId | null
  name: string | null
  hours: WorkingHours
}
/** A day that is other than usual, of one person or, where none is named, of all. */
export interface OtherDay {
  day: Day
  personId: PersonId | null
  /** minutes of the day; null where nobody works */
  hours: { from: number; to: number } | null
}

const clock = (minute: number) => `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`
/** The instant of a minute of a day on the wall; from midnight at its end on they are the next day's. */
export function instantAt(day: Day, minute: number, zone: string): Instant {
  const found = instantOf(`${dayAfter(day, Math.floor(minute / 1440))}T${clock(minute % 1440)}`, zone)
  if (found === null) throw new Error(`no such moment: ${day} ${minute}`)
  return found
}

/** When one works on a day: their own day said otherwise, else everybody's, else as on any such day; null where they don't. */
export function hoursOn(
  { id, hours }: Pick<Hand, 'id' | 'hours'>,
  others: readonly OtherDay[],
  day: Day,
): { from: number; to: number } | null {
  const own = others.find((each) => each.day === day && each.personId === id && id !== null)
  const other = own ?? others.find((each) => each.day === day && each.personId === null)
  if (other) return other.hours
  return hours.days.includes(weekdayOf(day)) ? { from: hours.from, to: hours.to } : null
}

interface Span {
  startMs: number
  zone: string
  days: number
  /** minutes that every edge is a multiple of */
  grid: number
}

/** When a hand works: from, to, in whole grid steps after the start; in order, apart. */
export function stretchesOf(
  hand: Pick<Hand, 'id' | 'hours'>,
  others: readonly OtherDay[],
  { startMs, zone, days, grid }: Span,
): [number, number][] {
  // last night's work may go on still
  const first = dayAfter(dayOf(new Date(startMs).toISOString(), zone), -1)
  const minuteOf = (day: Day, minute: number) => (Date.parse(instantAt(day, minute, zone)) - startMs) / 60_000
  let until = 0
  return Array.from({ length: days + 1 }, (_, k) => dayAfter(first, k)).flatMap((day): [number, number][] => {
    const worked = hoursOn(hand, others, day)
    if (!worked) return []
    const from = Math.max(until, Math.ceil(minuteOf(day, worked.from) / grid) * grid)
    const to = Math.floor(minuteOf(day, worked.to) / grid) * grid
    if (to <= from) return []
    until = to
    return [[from, to]]
  })
}

/** From when anybody works to when nobody does any more. */
export const hoursOfAll = (hands: readonly Pick<Hand, 'hours'>[]): { from: number; to: number } => ({
  from: Math.min(...hands.map(({ hours }) => hours.from)),
  to: Math.max(...hands.map(({ hours }) => hours.to)),
})
/** The day whose work a moment belongs to; `begins`: the minute at which it is told from the day before. */
export const workDayOf = (ms: number, zone: string, begins: number): Day =>
  dayOf(new Date(ms - begins * 60_000).toISOString(), zone)

/** Which of the hands were at a work, by who wrote minutes on it; the first where nobody is named. */
export const handOf = (hands: readonly Pick<Hand, 'id'>[], byPerson: ReadonlyMap<PersonId, number>): number =>
  Math.max(
    0,
    hands.findIndex(({ id }) => id !== null && byPerson.has(id)),
  )

/** Hours without a stretch that is taken. */
export const without = (work: readonly (readonly [number, number])[], from: number, to: number): [number, number][] =>
  work
    .flatMap(([since, until]): [number, number][] => [
      [since, Math.min(until, from)],
      [Math.max(since, to), until],
    ])
    .filter(([since, until]) => until > since)
