/**
 * Between instants and what the studio's clock on the wall shows. Instants ISO 8601 UTC, wall times "YYYY-MM-DDTHH:mm"; pure:
 * zone and now are arguments. In the hour that a clock change repeats the first is meant; one that it skips moves on by the gap.
 */
import { TZDate } from '@date-fns/tz'

const wall = /^(\d{4})-(\d\d)-(\d\d)(?:T(\d\d):(\d\d))?$/

/** The instant of a wall time (or of noon, for a bare date) in a zone; null where it is none. */
export function instantOf(text: string, zone: string): string | null {
  const match = wall.exec(text)
  if (!match) return null
  const [, year, month, day, hour = '12', minute = '00'] = match
  const date = new TZDate(Number(year), Number(month) - 1, Number(day), Number(hour), Number(minute), zone)
  const real = new Date(Date.UTC(Number(year), Number(month) - 1, Number(day)))
  if (Number.isNaN(date.getTime()) || real.getUTCDate() !== Number(day) || Number(hour) > 23 || Number(minute) > 59) return null
  const found = date.getTime()
  const shown = wallTimeOf(new Date(found).toISOString(), zone)
  // an hour (or half) that the clocks repeat: the first of the two
  const first = [3_600_000, 1_800_000]
    .map((back) => found - back)
    .find((ms) => wallTimeOf(new Date(ms).toISOString(), zone) === shown)
  return new Date(first ?? found).toISOString()
}

const pad = (n: number) => String(n).padStart(2, '0')

/** "YYYY-MM-DDTHH:mm" on the studio's wall. */
export function wallTimeOf(instant: string, zone: string): string {
  const date = new TZDate(instant, zone)
  return `${dayOf(instant, zone)}T${pad(date.getHours())}:${pad(date.getMinutes())}`
}

/** "YYYY-MM-DD" on the studio's wall. */
export function dayOf(instant: string, zone: string): string {
  const date = new TZDate(instant, zone)
  return `${date.getFullYear()}-${pad(date.getMonth() + 1)}-${pad(date.getDate())}`
}

/** The wall day so many days after another. */
export function dayAfter(day: string, days: number): string {
  return new Date(Date.parse(`${day}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10)
}
/** 0 for Sunday to 6 for Saturday. */
export const weekdayOf = (day: string): number => new Date(`${day}T00:00:00Z`).getUTCDay()
/** Minutes since midnight on the studio's wall. */
export function minuteOfDay(instant: string, zone: string): number {
  const date = new TZDate(instant, zone)
  return date.getHours() * 60 + date.getMinutes()
}

/** Whole days from one wall day to another. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / 86_400_000)
}
