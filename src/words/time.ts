/** Times in words, on the studio's wall. */
import type { Day, Instant } from '@/core/measure/named'
import { dayOf, daysBetween, wallTimeOf } from '@/core/measure/time'
import type { WorkingHours } from '@/core/measure/workingHours'

/** "14:20". */
export const clockTime = (instant: Instant, zone: string): string => wallTimeOf(instant, zone).slice(11)

/** "14:20", "tomorrow 9:00", "Thu 14:20", "3 Dec", seen from `nowMs`. */
export function momentWords(instant: Instant, zone: string, nowMs: number): string {
  const now = new Date(nowMs).toISOString()
  const days = daysBetween(dayOf(now, zone), dayOf(instant, zone))
  const time = clockTime(instant, zone)
  if (days === 0) return time
  if (days === 1) return `tomorrow ${time}`
  if (days === -1) return `yesterday ${time}`
  const format = (options: Intl.DateTimeFormatOptions) =>
    new Intl.DateTimeFormat('en-GB', { timeZone: zone, ...options }).format(new Date(instant))
  if (days > 0 && days < 7) return `${format({ weekday: 'short' })} ${time}`
  const sameYear = now.slice(0, 4) === instant.slice(0, 4)
  return format(sameYear ? { day: 'numeric', month: 'short' } : { day: 'numeric', month: 'short', year: 'numeric' })
}

/** For lists of what happened: always with its time, "18 Nov 14:20". */
export function loggedWords(instant: Instant, zone: string, nowMs: number): string {
  const words = momentWords(instant, zone, nowMs)
  return words.endsWith(clockTime(instant, zone)) ? words : `${words} ${clockTime(instant, zone)}`
}

/** "3 Dec 2026". */
export const dateWords = (instant: Instant, zone: string): string =>
  new Intl.DateTimeFormat('en-GB', { timeZone: zone, day: 'numeric', month: 'short', year: 'numeric' }).format(new Date(instant))

/** "3 Dec 2026", of a day on the wall: the same in every zone. */
export const dayDateWords = (day: Day): string => dateWords(`${day}T12:00:00.000Z`, 'UTC')

/** "today", "tomorrow", "Thursday", "3 Dec": a day to come, or past, seen from `today`. */
export function promiseWords(day: Day, today: Day): string {
  const days = daysBetween(today, day)
  if (days === 0) return 'today'
  if (days === 1) return 'tomorrow'
  if (days === -1) return 'yesterday'
  const format = (options: Intl.DateTimeFormatOptions) =>
    new Intl.DateTimeFormat('en-GB', { timeZone: 'UTC', ...options }).format(new Date(`${day}T12:00:00.000Z`))
  if (days > 0 && days < 7) return format({ weekday: 'long' })
  const sameYear = day.slice(0, 4) === today.slice(0, 4)
  return format(sameYear ? { day: 'numeric', month: 'short' } : { day: 'numeric', month: 'short', year: 'numeric' })
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
export const hoursWords = (hours: number): string => `${Number(hours.toFixed(2))} h`

/** "Wednesday 25 November", of a day on the wall. */
export const dayWords = (day: Day): string =>
  new Intl.DateTimeFormat('en-GB', { timeZone: 'UTC', weekday: 'long', day: 'numeric', month: 'long' }).format(
    new Date(`${day}T12:00:00Z`),
  )

/** A minute of the day as its time: 570 is "09:30". */
export const minuteWords = (minute: number): string =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(Math.floor(minute % 60)).padStart(2, '0')}`

const dayNames = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday']
/** "Monday to Friday, 09:00 to 17:00", or the days by name where they are not in a row. */
export function hoursOfWork({ from, to, days }: WorkingHours): string {
  const monday = [...days].sort((a, b) => ((a + 6) % 7) - ((b + 6) % 7))
  const inRow = monday.length > 2 && monday.every((day, k) => k === 0 || day === ((monday[k - 1] ?? 0) + 1) % 7)
  const named = inRow ? [monday[0], monday.at(-1)] : monday
  return `${named.map((day) => dayNames[day ?? 0]).join(inRow ? ' to ' : ', ')}, ${minuteWords(from)} to ${minuteWords(to)}`
}
