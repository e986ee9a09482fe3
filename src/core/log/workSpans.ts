/** When work was done: where clocks were touched, and what may have run beside them. Pure; ms inside. */
import type { Instant, StepId } from '@/core/measure/named'
import { onceFor } from '@/core/measure/once'
import type { Entry } from './entry'
import { besideHours, workIn } from './labour'

/** From one instant to another, both in it. */
export interface TimeStretch {
  from: Instant
  to: Instant
}
/** Whole days in UTC, by their YYYY-MM-DD. */
export const dayStretches = (days: Iterable<string>): TimeStretch[] =>
  [...new Set(days)].map((day) => ({ from: `${day}T00:00:00.000Z`, to: `${day}T23:59:59.999Z` }))

const besideMs = besideHours * 60 * 60_000
interface Stretch {
  fromMs: number
  toMs: number
}
const asInstants = ({ fromMs, toMs }: Stretch): TimeStretch => ({
  from: new Date(fromMs).toISOString(),
  to: new Date(toMs).toISOString(),
})
/** Those that meet are one; in order of time. */
function joined(stretches: readonly Stretch[]): Stretch[] {
  const apart: Stretch[] = []
  for (const { fromMs, toMs } of [...stretches].sort((one, other) => one.fromMs - other.fromMs)) {
    const last = apart.at(-1)
    if (last && fromMs <= last.toMs) last.toMs = Math.max(last.toMs, toMs)
    else apart.push({ fromMs, toMs })
  }
  return apart
}
const touchedIn: (log: readonly Entry[]) => Stretch[] = onceFor((log) =>
  joined(workIn(log).map(({ at }) => ({ fromMs: Date.parse(at) - besideMs, toMs: Date.parse(at) + besideMs }))),
)
/** Where a clock of these logs was touched, and half a day before and after; in order of time, apart from each other. */
export const workStretches = (logs: readonly (readonly Entry[])[]): TimeStretch[] =>
  joined(logs.flatMap(touchedIn)).map(asInstants)

/** From the first to the last touch of each step's clock; one that runs still may run for half a day. What ran beside it lies across one of these. */
export const workSpans = (logs: readonly (readonly Entry[])[]): TimeStretch[] => logs.flatMap(spansIn)
const spansIn: (log: readonly Entry[]) => TimeStretch[] = onceFor((log) => {
  const spans = new Map<StepId, Stretch>()
  for (const { stepId, kind, at } of workIn(log)) {
    const ms = Date.parse(at)
    const toMs = kind === 'started' || kind === 'resumed' ? ms + besideMs : ms
    const known = spans.get(stepId)
    // what stopped it says more than when it was begun
    spans.set(stepId, known ? { fromMs: Math.min(known.fromMs, ms), toMs: Math.max(known.fromMs, toMs) } : { fromMs: ms, toMs })
  }
  return [...spans.values()].map(asInstants)
})
