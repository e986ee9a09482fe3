/** Which pattern a step or a layer of a list is worked to: its own, or that of the layer that its tape is for. Pure. */
import type { OperationCode } from '@/core/craft/operations'
import type { Pattern } from '@/core/craft/pattern'
import type { Where } from './touch'

interface Sided {
  operation: OperationCode
  where?: Where | null | undefined
}

/** Tape is laid for the pattern after it, and pulled for the one before; null where there is none. */
export function patternAt(steps: readonly Sided[], at: number): Pattern | null {
  const step = steps[at]
  if (!step) return null
  if (step.where?.pattern) return step.where.pattern
  if (step.operation === 'tape') return steps.slice(at).find(({ where }) => where?.pattern)?.where?.pattern ?? null
  if (step.operation === 'pull-tape') return steps.slice(0, at).findLast(({ where }) => where?.pattern)?.where?.pattern ?? null
  return null
}
