/**
 * Between instants and what the studio's clock on the wall shows. Instants ISO 8601 UTC, wall times "YYYY-MM-DDTHH:mm", days
 * "YYYY-MM-DD"; pure: zone and now are arguments.
 */
import { CalendarDate, getDayOfWeek, parseAbsolute, parseDate, parseDateTime, toZoned } from '@internationalized/date'
import type { Day, Instant, WallTime } from '@/core/measure/named'
import { makeKept } from './kept'

/** What lies outside these years was mistyped. */
export const firstYear = 2000
export const lastYear = 2099
const isBelievable = (year: number): boolean => year >= firstYear && year <= lastYear

/** A real day of the years that are believed: not 31 February, not the year 1. */
export function isDay(text: string): text is Day {
  const [, year, month, day] = /^(\d{4})-(\d\d)-(\d\d)$/.exec(text) ?? []
  if (!year || !isBelievable(Number(year))) return false
  const found = new CalendarDate(Number(year), Number(month), Number(day))
  return found.month === Number(month) && found.day === Number(day)
}
/** A moment within the years that are believed. */
export const isInstant = (text: string): boolean => {
  const ms = Date.parse(text)
  return !Number.isNaN(ms) && isBelievable(new Date(ms).getUTCFullYear())
}

/** Of an hour that the clocks repeat the first, of one that they skip the moment so much after: as whoever typed it meant. */
const meant = 'compatible'

/** The instant of a wall time (or of noon, for a bare day) in a zone; null where it is none, or not believable. */
export function instantOf(text: string, zone: string): Instant | null {
  const [, day = '', time = '12:00'] = /^(\d{4}-\d\d-\d\d)(?:T(\d\d:\d\d))?$/.exec(text) ?? []
  if (!isDay(day) || !/^([01]\d|2[0-3]):[0-5]\d$/.test(time)) return null
  return toZoned(parseDateTime(`${day}T${time}`), zone, meant).toAbsoluteString()
}

const dayMs = 86_400_000
const pad = (n: number, digits = 2) => String(n).padStart(digits, '0')
const onTheWall = (instant: Instant, zone: string) => parseAbsolute(instant, zone)

/** A day on a wall, from its first moment to the next day's, ms. */
interface Span {
  day: Day
  fromMs: number
  toMs: number
}
/** Days that were asked for, by zone and day of UTC: a log asks for few of them often. */
const spans = makeKept<string, readonly Span[]>(2_000)

/** The day that an instant falls on; it holds the instant but where a zone's days overlap. */
function spanOf(instant: Instant, zone: string): Span {
  const ms = Date.parse(instant)
  const key = `${zone} ${Math.floor(ms / dayMs)}`
  const known = spans.get(key) ?? []
  const found = known.find(({ fromMs, toMs }) => fromMs <= ms && ms < toMs)
  if (found) return found
  const { year, month, day } = onTheWall(instant, zone)
  const date = new CalendarDate(year, month, day)
  const startMs = (of: CalendarDate) => toZoned(of, zone, meant).toDate().getTime()
  const span = {
    day: `${pad(year, 4)}-${pad(month)}-${pad(day)}`,
    fromMs: startMs(date),
    toMs: startMs(date.add({ days: 1 })),
  }
  if (span.fromMs <= ms && ms < span.toMs) spans.set(key, [...known, span])
  return span
}

/** "YYYY-MM-DD" on the studio's wall. */
export const dayOf = (instant: Instant, zone: string): Day => spanOf(instant, zone).day

/** Minutes since midnight on the studio's wall. */
export function minuteOfDay(instant: Instant, zone: string): number {
  const { fromMs, toMs } = spanOf(instant, zone)
  const since = Date.parse(instant) - fromMs
  // a day of twenty-four hours is one on which no clock is changed
  if (toMs - fromMs === dayMs && since >= 0 && since < dayMs) return Math.floor(since / 60_000)
  const { hour, minute } = onTheWall(instant, zone)
  return hour * 60 + minute
}

/** "YYYY-MM-DDTHH:mm" on the studio's wall. */
export function wallTimeOf(instant: Instant, zone: string): WallTime {
  const minutes = minuteOfDay(instant, zone)
  return `${dayOf(instant, zone)}T${pad(Math.floor(minutes / 60))}:${pad(minutes % 60)}`
}

/** The wall day so many days after another. */
export const dayAfter = (day: Day, days: number): Day => parseDate(day).add({ days }).toString()
/** 0 for Sunday to 6 for Saturday. */
export const weekdayOf = (day: Day): number => getDayOfWeek(parseDate(day), 'en-US')

/** Whole days from one wall day to another. */
export const daysBetween = (from: Day, to: Day): number => parseDate(to).compare(parseDate(from))
