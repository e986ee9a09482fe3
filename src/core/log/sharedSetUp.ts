/**
 * Alike steps worked in one go have one set-up, in the first one's clock, and one cleaning, in the last one's. Both are shared
 * out evenly, so that no piece pays for another's brush. Minutes; pure.
 */
import { getOperation, type OperationCode } from '@/core/craft/operations'
import type { StepId } from '@/core/measure/named'

export interface WorkedStep {
  stepId: StepId
  operation: OperationCode
  family: string | null
  hex: string | null
  startedMs: number
  endedMs: number
  minutes: number
}

/** A longer break than this puts the brush away. */
const sameGoMs = 15 * 60_000

/** Minutes to add to (or take from) each step; they sum to nothing. Steps whose minutes were typed are not given. */
export function shareSetUp(worked: readonly WorkedStep[]): Map<string, number> {
  const shares = new Map<string, number>()
  const groups = new Map<string, WorkedStep[][]>()
  for (const step of [...worked].sort((a, b) => a.startedMs - b.startedMs)) {
    const key = `${step.operation} ${step.family} ${step.hex}`
    const runs = groups.get(key) ?? []
    groups.set(key, runs)
    const last = runs.at(-1)
    const gap = last ? step.startedMs - (last.at(-1)?.endedMs ?? 0) : Infinity
    if (last && gap >= 0 && gap <= sameGoMs) last.push(step)
    else runs.push([step])
  }
  for (const run of [...groups.values()].flat()) {
    const [first, last] = [run[0], run.at(-1)]
    if (!first || !last || run.length < 2) continue
    const half = getOperation(first.operation).overhead / 2
    const [setUp, cleaning] = [Math.min(half, first.minutes), Math.min(half, last.minutes)]
    for (const { stepId } of run) shares.set(stepId, (setUp + cleaning) / run.length)
    shares.set(first.stepId, (shares.get(first.stepId) ?? 0) - setUp)
    shares.set(last.stepId, (shares.get(last.stepId) ?? 0) - cleaning)
  }
  return shares
}
