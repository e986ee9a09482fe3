/** When somebody is told of a window: a little before it opens and before it closes. Pure; ms where compared. */
import type { Instant } from '@/core/measure/named'
import { dayAfter, dayOf, minuteOfDay, weekdayOf } from '@/core/measure/time'
import { dayBegins, type WorkingHours } from '@/core/measure/workingHours'
import type { Journey, PartJourney } from '@/core/piece/journey'
import type { PlanStep } from '@/core/piece/piece'

export interface Reminder {
  /** the same for the same window, so that it is told once */
  key: string
  kind: 'opens' | 'closes'
  /** the moment of the window itself */
  at: Instant
  /** when to tell */
  tellMs: number
  journey: Journey
  part: PartJourney
  step: PlanStep
}
const minuteMs = 60_000
/** minutes before: to put the gloves on, and to get there in time */
const beforeOpens = 5
const beforeCloses = 15

/** Every reminder of windows not yet closed; a window shorter than the warning is told as it opens. */
export function listReminders(journeys: readonly Journey[], nowMs: number): Reminder[] {
  return journeys
    .filter(({ ending }) => !ending)
    .flatMap((journey) =>
      journey.parts.flatMap((part): Reminder[] => {
        const { turn, running } = part
        const window = turn ?? part.window
        const next = turn ? turn.after : part.next
        if (!window || !next || (running && !turn)) return []
        const { opens, closes } = window.times
        const common = { journey, part, step: next }
        const key = `${window.after.id} ${window.endedAt}`
        const opensMs = opens ? Date.parse(opens) : null
        const list: Reminder[] = []
        if (opens && opensMs !== null && opensMs > nowMs - minuteMs && window.label.opens[1] > 0)
          list.push({ ...common, key: `${key} opens`, kind: 'opens', at: opens, tellMs: opensMs - beforeOpens * minuteMs })
        if (closes && Date.parse(closes) > nowMs) {
          const tell = Math.max(opensMs ?? 0, Date.parse(closes) - beforeCloses * minuteMs)
          list.push({ ...common, key: `${key} closes`, kind: 'closes', at: closes, tellMs: tell })
        }
        return list
      }),
    )
    .sort((a, b) => a.tellMs - b.tellMs)
}

/** Reminders whose moment came after `fromMs` and not after `toMs`. */
export const dueReminders = (journeys: readonly Journey[], fromMs: number, toMs: number): Reminder[] =>
  listReminders(journeys, fromMs).filter(({ tellMs }) => tellMs > fromMs && tellMs <= toMs)

/** so long after it opened a window is still told */
const lateMinutes = 10
const dayMinutes = 1440

/** Whether somebody works at a moment, by the house's hours; work over midnight is of the day it was begun on. */
export function isAtWork(ms: number, hours: WorkingHours, zone: string): boolean {
  const at: Instant = new Date(ms).toISOString()
  const minute = minuteOfDay(at, zone)
  const today = dayOf(at, zone)
  const isNight = minute < dayBegins(hours)
  const worked = isNight ? minute + dayMinutes : minute
  return hours.days.includes(weekdayOf(isNight ? dayAfter(today, -1) : today)) && worked >= hours.from && worked < hours.to
}
/**
 * What is told now to somebody who is not looking: what opens within the house's hours, for who sleeps begins nothing; what closes
 * at any hour, for it spoils. Each until its moment is over, so that whoever could not be reached is told when they can.
 */
export const toldOutside = (reminders: readonly Reminder[], nowMs: number, hours: WorkingHours, zone: string): Reminder[] =>
  reminders.filter(({ kind, at, tellMs }) => {
    const over = Date.parse(at) + (kind === 'opens' ? lateMinutes * minuteMs : 0)
    return tellMs <= nowMs && nowMs < over && (kind === 'closes' || isAtWork(nowMs, hours, zone))
  })
