/** The work around the paint as steps: proposed from what was counted, and as a plan keeps them. Pure. */
import { type Counted, jobRows, type Side } from '@/core/craft/job'
import { defaultMethod } from '@/core/craft/method'
import { standardMinutes } from '@/core/craft/minutes'
import { getOperation, type OperationCode } from '@/core/craft/operations'
import { findStepWindow } from '@/core/craft/windows'
import type { PlannedStep } from '@/core/finish/step'

export interface JobStep {
  operation: OperationCode
  side: Side
  /** the painter's own words, where the operation's do not say it */
  words: string | null
  minutes: number
}

/** Minutes of an operation that is done so many times. */
export const jobMinutes = (operation: OperationCode, times = 1): number =>
  getOperation(operation).per === 'item'
    ? standardMinutes(operation, { areaM2: 0, items: times })
    : Math.max(1, getOperation(operation).overhead)

/** The steps that a piece asks for by what was counted on it, those before the paint first. */
export const proposeJob = (counted: Counted, commission: boolean): JobStep[] =>
  jobRows.flatMap(({ operation, side, per, commission: only }) => {
    const times = per ? (counted[per] ?? 0) : 1
    return times > 0 && (!only || commission) ? [{ operation, side, words: null, minutes: jobMinutes(operation, times) }] : []
  })

/** A step as it is being planned. */
export interface DraftStep extends JobStep {
  id: string
  /** the painter's own, or its minutes are: no count changes them */
  own: boolean
}
type Placed = Pick<JobStep, 'operation' | 'side'>
/** A step proposed by count is known by what it is and where it stands. */
export const keyOf = ({ operation, side }: Placed): string => `${operation} ${side}`
const rankOf = (step: Placed): number => jobRows.findIndex((row) => keyOf(row) === keyOf(step))

/**
 * The steps after a count has changed: what is asked for now comes in where it stands in the order of work, its minutes follow the
 * count, what is asked for no more goes out; what the painter put in or changed stays. `settled`: taken out by hand, or done.
 */
export function followCounts(
  draft: readonly DraftStep[],
  asked: readonly JobStep[],
  settled: ReadonlySet<string>,
  newId: () => string,
): DraftStep[] {
  const wanted = new Map(asked.filter((step) => !settled.has(keyOf(step))).map((step) => [keyOf(step), step]))
  const kept = draft.flatMap((step): DraftStep[] => {
    const now = wanted.get(keyOf(step))
    if (step.own || rankOf(step) < 0) return [step]
    return now ? [{ ...step, minutes: now.minutes }] : []
  })
  const known = new Set(kept.map(keyOf))
  return [...wanted.values()]
    .filter((step) => !known.has(keyOf(step)))
    .reduce<DraftStep[]>((steps, step) => {
      const later = steps.findIndex((other) => other.side === step.side && rankOf(other) > rankOf(step))
      const last = steps.findLastIndex((other) => other.side === step.side)
      const at = later >= 0 ? later : last >= 0 ? last + 1 : step.side === 'before' ? 0 : steps.length
      return steps.toSpliced(at, 0, { ...step, id: newId(), own: false })
    }, kept)
}

/** A step of the job as a plan keeps it; `lead`: a part of it may hold lead, and what cuts or raises dust says so. */
export function jobPlanStep({ operation, side, words, minutes }: JobStep, lead: boolean): PlannedStep {
  const { check = null, cautions = [] } = getOperation(operation)
  const disturbs = cautions.includes('dust') || cautions.includes('blade')
  return {
    operation,
    family: null,
    colour: null,
    mix: null,
    applicator: null,
    grit: null,
    film: 'normal',
    minutes,
    amount: null,
    window: findStepWindow({ operation, family: null }, null, { kind: 'wood', method: defaultMethod }),
    check,
    cautions: lead && disturbs ? ['lead', ...cautions] : cautions,
    reason: words === null ? 'counted' : 'as-wished',
    coat: null,
    needed: true,
    side,
    ...(words !== null && { words }),
  }
}
