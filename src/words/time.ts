/** Times in words, on the studio's wall, as its country writes them. */
import type { Day, Instant } from '@/core/measure/named'
import { formatNumber, type Locale, type Writing } from '@/core/measure/number'
import { remember } from '@/core/measure/remember'
import { dayOf, daysBetween } from '@/core/measure/time'
import type { WorkingHours } from '@/core/measure/workingHours'

/** Where the clock hangs, and how it is written. */
export interface Wall extends Writing {
  zone: string
}

/** A format of Intl, made once. */
export const dateFormat = remember(
  (locale: Locale, zone: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat =>
    new Intl.DateTimeFormat(locale, { timeZone: zone, ...options }),
)
const written = (instant: Instant, { zone, locale }: Wall, options: Intl.DateTimeFormatOptions): string =>
  dateFormat(locale, zone, options).format(new Date(instant))
/** a day is the same in every zone */
const writtenDay = (day: Day, { locale }: Writing, options: Intl.DateTimeFormatOptions): string =>
  written(`${day}T12:00:00.000Z`, { zone: 'UTC', locale }, options)

const monthAndDay = { day: 'numeric', month: 'short' } as const
const fullDate = { ...monthAndDay, year: 'numeric' } as const

/** "14:20", "2:20 pm". */
export const clockTime = (instant: Instant, wall: Wall): string => written(instant, wall, { timeStyle: 'short' })

/** "14:20", "tomorrow 9:00", "Thu 14:20", "3 Dec", seen from `nowMs`. */
export function momentWords(instant: Instant, wall: Wall, nowMs: number): string {
  const now = new Date(nowMs).toISOString()
  const days = daysBetween(dayOf(now, wall.zone), dayOf(instant, wall.zone))
  const time = clockTime(instant, wall)
  if (days === 0) return time
  if (days === 1) return `tomorrow ${time}`
  if (days === -1) return `yesterday ${time}`
  if (days > 0 && days < 7) return `${written(instant, wall, { weekday: 'short' })} ${time}`
  return written(instant, wall, now.slice(0, 4) === instant.slice(0, 4) ? monthAndDay : fullDate)
}

/** For lists of what happened: always with its time, "18 Nov 14:20". */
export function loggedWords(instant: Instant, wall: Wall, nowMs: number): string {
  const words = momentWords(instant, wall, nowMs)
  const time = clockTime(instant, wall)
  return words.endsWith(time) ? words : `${words} ${time}`
}

/** "3 Dec 2026". */
export const dateWords = (instant: Instant, wall: Wall): string => written(instant, wall, fullDate)

/** "3 Dec 2026", of a day on the wall: the same in every zone. */
export const dayDateWords = (day: Day, writing: Writing): string => writtenDay(day, writing, fullDate)

/** "today", "tomorrow", "Thursday", "3 Dec": a day to come, or past, seen from `today`. */
export function promiseWords(day: Day, today: Day, writing: Writing): string {
  const days = daysBetween(today, day)
  if (days === 0) return 'today'
  if (days === 1) return 'tomorrow'
  if (days === -1) return 'yesterday'
  if (days > 0 && days < 7) return writtenDay(day, writing, { weekday: 'long' })
  return writtenDay(day, writing, day.slice(0, 4) === today.slice(0, 4) ? monthAndDay : fullDate)
}

/** "8 min", "1 h 05", "2 d 4 h": whole minutes, rounded down as a clock would. */
export function spanWords(minutes: number): string {
  const whole = Math.max(0, Math.floor(minutes + 1e-9))
  if (whole < 60) return `${whole} min`
  if (whole < 48 * 60) return `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`
  const days = Math.floor(whole / 1440)
  return `${days} d ${Math.floor((whole % 1440) / 60)} h`
}

/** A span as one large figure and its unit. */
export function spanFigure(minutes: number): { figure: string; unit: string } {
  const whole = Math.max(0, Math.floor(minutes + 1e-9))
  if (whole < 60) return { figure: String(whole), unit: 'min' }
  if (whole < 24 * 60) return { figure: `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`, unit: 'h' }
  return { figure: String(Math.floor(whole / 1440)), unit: whole < 2880 ? 'day' : 'days' }
}

/** Hours as money reckons them: "6.25 h". */
export const hoursWords = (hours: number, writing: Writing): string => `${formatNumber(hours, writing)} h`

/** "Wednesday 25 November", of a day on the wall. */
export const dayWords = (day: Day, writing: Writing): string =>
  writtenDay(day, writing, { weekday: 'long', day: 'numeric', month: 'long' })

/** "Thu 27", or "Th" where there is little room. */
export const shortDayWords = (day: Day, writing: Writing, room: boolean): string =>
  room
    ? writtenDay(day, writing, { weekday: 'short', day: 'numeric' })
    : writtenDay(day, writing, { weekday: 'short' }).slice(0, 2)

/** A minute of the day as a field of time holds it: 570 is "09:30". */
export function minuteText(minute: number): string {
  // midnight ends a day; what is later is the next day's
  const shown = minute > 1440 ? minute - 1440 : minute
  return `${String(Math.floor(shown / 60)).padStart(2, '0')}:${String(Math.floor(shown % 60)).padStart(2, '0')}`
}

/** A minute of the day as its time: 570 is "09:30", "9:30 am". */
export const minuteWords = (minute: number, { locale }: Writing): string =>
  minute === 1440 ? '24:00' : clockTime(`2026-01-01T${minuteText(minute)}:00.000Z`, { zone: 'UTC', locale })

const dayNames = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday']
/** "Monday to Friday, 09:00 to 17:00", or the days by name where they are not in a row. */
export function hoursOfWork({ from, to, days }: WorkingHours, writing: Writing): string {
  const monday = [...days].sort((a, b) => ((a + 6) % 7) - ((b + 6) % 7))
  const inRow = monday.length > 2 && monday.every((day, k) => k === 0 || day === ((monday[k - 1] ?? 0) + 1) % 7)
  const named = inRow ? [monday[0], monday.at(-1)] : monday
  return `${named.map((day) => dayNames[day ?? 0]).join(inRow ? ' to ' : ', ')}, ${minuteWords(from, writing)} to ${minuteWords(to, writing)}`
}
