/** A day of the plan in force as it hangs on the wall: what is still ahead of it, in order. Pure. */
import { isAhead } from '@/core/log/stepStates'
import type { Day, PersonId } from '@/core/measure/named'
import type { Journey } from '@/core/piece/journey'
import { lanesOf } from '@/core/piece/lanes'
import type { PlanStep } from '@/core/piece/piece'
import { workDayOf } from './hands'
import type { KeptLine } from './planWeek'

export interface SheetLine {
  at: number
  step: PlanStep
  side: 1 | 2 | null
  pieceName: string
  /** null for the work around the paint */
  partName: string | null
  personId: PersonId | null
  minutes: number
  /** when what follows may begin and must, ms; null where it need not wait, or may wait for ever */
  opens: number | null
  closes: number | null
}

/** The days of a plan on which something of it is still ahead, each with its lines in order. `begins`: the minute at which a day's work begins. */
export function sheetsOf(
  lines: readonly KeptLine[],
  journeys: readonly Journey[],
  { zone, begins }: { zone: string; begins: number },
): Map<Day, SheetLine[]> {
  const places = new Map(
    journeys
      .filter(({ ending }) => !ending)
      .flatMap((journey) =>
        lanesOf(journey).flatMap((lane) => {
          const partName = lane.part.plan?.care === 'job' ? null : lane.part.name
          return lane.steps
            .filter(({ state }) => isAhead(state))
            .map(({ step }) => [step.id, { step, partName, pieceName: journey.file.piece.name }] as const)
        }),
      ),
  )
  const days = new Map<Day, SheetLine[]>()
  for (const { stepId, side, at, personId, figures } of [...lines].sort((a, b) => a.at - b.at)) {
    const place = places.get(stepId)
    if (!place) continue
    const minutes = figures?.minutes ?? place.step.minutes
    const after = (wait: number | null | undefined) => (wait ? at + (minutes + wait) * 60_000 : null)
    const line = { ...place, at, side, personId, minutes, opens: after(figures?.opens), closes: after(figures?.closes) }
    const day = workDayOf(at, zone, begins)
    days.set(day, [...(days.get(day) ?? []), line])
  }
  return days
}
