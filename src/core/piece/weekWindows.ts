/** Every window that stood in a stretch of days, read in its air: for the chart of the week. Pure. */
import { phasesOf, type Segment } from '@/core/drying/phase'
import { windowFor } from '@/core/drying/windowFor'
import { asLearned, type Learned } from '@/core/learn/learned'
import type { Instant } from '@/core/measure/named'
import type { Journey, PartJourney } from './journey'
import type { Climate, PlanStep } from './piece'

export interface WeekWindow {
  journey: Journey
  part: PartJourney
  step: PlanStep
  segments: Segment[]
  opens: Instant | null
  closes: Instant | null
}

/** Windows of steps ended since `sinceMs`, oldest first. */
export function windowsSince(journeys: readonly Journey[], climate: Climate, sinceMs: number, learned: Learned): WeekWindow[] {
  return journeys
    .flatMap((journey) =>
      journey.parts.flatMap((part) =>
        part.done.flatMap(({ step, state }, k): WeekWindow[] => {
          const endedMs = state.endedAt ? Date.parse(state.endedAt) : NaN
          if (!step.window || step.window.opens[1] === 0 || !(endedMs >= sinceMs)) return []
          const label = asLearned(step.window, { ...step, productId: state.coat?.coat.productId }, learned)
          const times = windowFor({
            endedAt: state.endedAt ?? '',
            kind: label.clock,
            film: state.coat?.coat?.film ?? step.film,
            label,
            climate,
            assistance: part.assistance,
          })
          // what was used is over when the next step began
          const next = part.done[k + 1]?.state ?? part.running?.state
          const overMs = Date.parse(next?.startedAt ?? next?.endedAt ?? '') || Infinity
          const segments = phasesOf(times, endedMs)
            .filter(({ fromMs }) => fromMs < overMs)
            .map((segment) => ({ ...segment, toMs: Math.min(segment.toMs, overMs) }))
          return [{ journey, part, step, segments, opens: times.opens, closes: times.closes }]
        }),
      ),
    )
    .sort((a, b) => (a.segments[0]?.fromMs ?? 0) - (b.segments[0]?.fromMs ?? 0))
}
