/** When something on a chosen day happened: today means now, another day its noon on the studio's wall. */
import 'server-only'
import type { Day, Instant } from '@/core/measure/named'
import { dayOf, instantOf } from '@/core/measure/time'

export function momentOf(day: Day, zone: string): Instant {
  const now = new Date().toISOString()
  if (dayOf(now, zone) === day) return now
  const noon = instantOf(day, zone)
  if (noon === null) throw new Error(`a day that was let through is none: ${day}`)
  return noon
}
