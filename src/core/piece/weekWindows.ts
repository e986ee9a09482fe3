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

/** A window, and when what it follows ended. */
interface Found {
  endedMs: number
  read: () => WeekWindow
}
/** Windows of steps ended since `sinceMs`, the last `most` of them, oldest first. */
export function windowsSince(
  journeys: readonly Journey[],
  { climate, sinceMs, learned, most }: { climate: Climate; sinceMs: number; learned: Learned; most: number },
): WeekWindow[] {
  return journeys
    .flatMap((journey) =>
      journey.parts.flatMap((part) =>
        part.done.flatMap(({ step, state }, k): Found[] => {
          const endedMs = Date.parse(state.endedAt)
          const { window } = step
          if (!window || window.opens[1] === 0 || !(endedMs >= sinceMs)) return []
          const read = (): WeekWindow => {
            const label = asLearned(window, { ...step, productId: state.coat?.coat.productId }, learned)
            const times = windowFor({
              endedAt: state.endedAt,
              kind: label.clock,
              film: state.coat?.coat.film ?? step.film,
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
            return { journey, part, step, segments, opens: times.opens, closes: times.closes }
          }
          return [{ endedMs, read }]
        }),
      ),
    )
    .sort((a, b) => a.endedMs - b.endedMs)
    .slice(-most)
    .map(({ read }) => read())
}
