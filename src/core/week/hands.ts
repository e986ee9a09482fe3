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
/** The instant of a minute of a day on the wall; midnight at its end is the next day's first. */
export function instantAt(day: Day, minute: number, zone: string): Instant {
  const found = minute < 1440 ? instantOf(`${day}T${clock(minute)}`, zone) : instantOf(`${dayAfter(day, 1)}T00:00`, zone)
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
  const today = dayOf(new Date(startMs).toISOString(), zone)
  const minuteOf = (day: Day, minute: number) => (Date.parse(instantAt(day, minute, zone)) - startMs) / 60_000
  return Array.from({ length: days }, (_, k) => dayAfter(today, k)).flatMap((day): [number, number][] => {
    const worked = hoursOn(hand, others, day)
    if (!worked) return []
    const from = Math.max(0, Math.ceil(minuteOf(day, worked.from) / grid) * grid)
    const to = Math.floor(minuteOf(day, worked.to) / grid) * grid
    return to > from ? [[from, to]] : []
  })
}

/** Hours without a stretch that is taken. */
export const without = (work: readonly (readonly [number, number])[], from: number, to: number): [number, number][] =>
  work
    .flatMap(([since, until]): [number, number][] => [
      [since, Math.min(until, from)],
      [Math.max(since, to), until],
    ])
    .filter(([since, until]) => until > since)
