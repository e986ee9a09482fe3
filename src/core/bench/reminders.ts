/** When somebody is told of a window: a little before it opens and before it closes. Pure; ms where compared. */
import type { Instant } from '@/core/measure/named'
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
