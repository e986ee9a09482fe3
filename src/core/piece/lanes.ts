/** What steps of a piece stand in: its parts, and the work around their paint; and what waits for what. Pure. */
import type { Side } from '@/core/craft/job'
import type { Phase } from '@/core/drying/phase'
import { isAhead, type StepState } from '@/core/log/stepStates'
import type { Instant } from '@/core/measure/named'
import type { Part } from './piece'

interface Sided {
  side?: Side | undefined
}
/** A part or the piece itself on its way, as far as others wait for it. */
interface Lane {
  steps: readonly { step: Sided; state: StepState }[]
  done: readonly unknown[]
  running: unknown
  next: Sided | null
  finishedAt: Instant | null
  handle: { phase: Phase } | null
  window: { phase: Phase; after: Sided } | null
}
interface Lanes<T> {
  parts: readonly T[]
  whole: T | null
}

/** Everything that steps of a piece stand in: its parts, and the work around their paint. */
export const lanesOf = <T>({ parts, whole }: Lanes<T>): T[] => [...parts, ...(whole ? [whole] : [])]

/** What comes first: the work before the paint, where a part was not begun; the paint, where the rest of the piece waits for it. */
export type Held = 'whole-first' | 'paint-first'
export function heldBy<T extends Lane>({ parts, whole }: Lanes<T>, lane: T): Held | null {
  if (!whole || lane.running) return null
  if (lane !== whole) {
    const before = whole.steps.some(({ step, state }) => step.side === 'before' && isAhead(state))
    // what was glued is left alone
    const sets = whole.window?.after.side === 'before' && whole.window.phase === 'shut'
    return (before || sets) && lane.done.length === 0 ? 'whole-first' : null
  }
  const dry = ({ finishedAt, handle }: Lane) => finishedAt !== null && handle?.phase !== 'shut'
  return lane.next?.side === 'after' && !parts.every(dry) ? 'paint-first' : null
}

export type StageCode = 'just-in' | 'under-way' | 'resting' | 'ready' | 'listed' | 'ended'
interface Staged extends Lane {
  part: Pick<Part, 'plan' | 'earlier'>
  use: { phase: Phase } | null
}
const hasAhead = (lane: Lane | null) => lane?.steps.some(({ state }) => isAhead(state)) ?? false

export function stageOf(parts: readonly Staged[], whole: Staged | null, ended: boolean, listed: boolean): StageCode {
  if (ended) return 'ended'
  if (listed) return 'listed'
  const planned = parts.filter(({ part }) => part.plan !== null)
  if (planned.length > 0 && parts.every(({ finishedAt }) => finishedAt !== null) && !hasAhead(whole)) {
    return parts.some(({ use }) => use !== null && use.phase === 'shut') ? 'resting' : 'ready'
  }
  const begun = lanesOf({ parts, whole }).some(
    ({ steps, part }) => part.earlier.length > 0 || steps.some(({ state }) => state.status !== 'waiting'),
  )
  return begun ? 'under-way' : 'just-in'
}
