/** What it would cost to put the tools down until a moment: each window that would be gone by then, and the work that follows. */
import type { RemedyCode } from '@/core/craft/remedies'
import type { PastCode } from '@/core/craft/windows'
import type { Instant } from '@/core/measure/named'
import { doneOn, factsOf } from '@/core/piece/facts'
import type { Journey, PartJourney } from '@/core/piece/journey'
import type { PlanStep } from '@/core/piece/piece'
import { costOfMissing, remedyOf } from '@/core/plan/missed'

export interface Missed {
  journey: Journey
  part: PartJourney
  step: PlanStep
  closes: Instant
  past: PastCode | null
  /** more work by the norms */
  minutes: number
  remedy: RemedyCode | null
}

/** Windows open or to come that close before `untilMs`, dearest first. A running step is taken to be ended and counted. */
export function ifStopped(journeys: readonly Journey[], nowMs: number, untilMs: number): Missed[] {
  return journeys
    .filter(({ ending }) => !ending)
    .flatMap((journey) =>
      journey.parts.flatMap((part): Missed[] => {
        const { window, next, running } = part
        const plan = part.part.plan
        const closes = window?.times.closes
        if (!window || !plan || !next || running || !closes) return []
        const at = Date.parse(closes)
        if (at <= nowMs || at >= untilMs) return []
        const past = window.label.past ?? null
        const wish = { ...plan, seal: plan.seal ?? undefined }
        const minutes = past && !plan.care ? costOfMissing(past, next, { part: factsOf(part.part), wish, done: doneOn(part) }) : 0
        return [{ journey, part, step: next, closes, past, minutes, remedy: past && remedyOf[past] }]
      }),
    )
    .sort((a, b) => b.minutes - a.minutes || a.closes.localeCompare(b.closes))
}

/** The next time the house begins to work: later today where it has not begun yet, else on the next day worked. */
export function nextMorning(
  nowMinute: number,
  weekday: number,
  hours: { from: number; days: readonly number[] },
): { days: number; minute: number } {
  for (let days = nowMinute < hours.from ? 0 : 1; days <= 7; days += 1)
    if (hours.days.includes((weekday + days) % 7)) return { days, minute: hours.from }
  return { days: 1, minute: hours.from }
}
