/** The work around the paint as steps: proposed from what was counted, and as a plan keeps them. Pure. */
import { type CountCode, type Counted, jobRows, type Side } from '@/core/craft/job'
import { defaultMethod } from '@/core/craft/method'
import { standardMinutes } from '@/core/craft/minutes'
import { getOperation, type OperationCode } from '@/core/craft/operations'
import { findStepWindow } from '@/core/craft/windows'
import { plainStep, type PlannedStep, withLeadSaid } from '@/core/finish/step'

export interface JobStep {
  operation: OperationCode
  side: Side
  /** the painter's own words, where the operation's do not say it */
  words: string | null
  minutes: number
}

/** A week's work. */
export const mostMinutes = 2400
/** Whole minutes, at least one and not more than a week's work. */
export const minutesFit = (minutes: number): boolean => Number.isInteger(minutes) && minutes >= 1 && minutes <= mostMinutes

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

/** The work around the paint under the hand. */
export interface JobDraft {
  counted: Counted
  /** by count, taken out by hand or done: not proposed again */
  settled: ReadonlySet<string>
  steps: readonly DraftStep[]
}
/** What a piece's work is planned beside: whether somebody waits for it, what of it is done, by {@link keyOf}. */
export interface JobAround {
  commission: boolean
  done: readonly string[]
}

/** Taken up from the plan in force: what it does without was taken out by hand, what no count explains is the painter's own. */
export function beginJob(
  counted: Counted,
  ahead: readonly JobStep[] | null,
  { commission, done }: JobAround,
  newId: () => string,
): JobDraft {
  const asked = proposeJob(counted, commission)
  const planned = new Set(ahead?.map(keyOf))
  const out = ahead ? asked.map(keyOf).filter((key) => !planned.has(key)) : []
  const settled = new Set([...done, ...out])
  const byCount = (step: JobStep) =>
    step.words === null && asked.some((each) => keyOf(each) === keyOf(step) && each.minutes === step.minutes)
  // a plan's steps are its own: the next has others
  const steps = (ahead ?? []).map((step): DraftStep => ({ ...step, id: newId(), own: !byCount(step) }))
  return { counted, settled, steps: followCounts(steps, asked, settled, newId) }
}

/** So many of one thing counted; more of it asks again for what hangs on it alone, though it was taken out. */
export function recount(
  draft: JobDraft,
  code: CountCode,
  times: number,
  { commission, done }: JobAround,
  newId: () => string,
): JobDraft {
  const counted = { ...draft.counted, [code]: Math.max(0, times) }
  const hangs = new Set(jobRows.flatMap((row) => (row.per === code ? [keyOf(row)] : [])))
  const more = times > (draft.counted[code] ?? 0)
  const settled = new Set([...draft.settled].filter((key) => !more || !hangs.has(key) || done.includes(key)))
  return { counted, settled, steps: followCounts(draft.steps, proposeJob(counted, commission), settled, newId) }
}

/** A step taken out by hand. Another of its like stays, and goes on following its count. */
export function takeOutStep(draft: JobDraft, id: string): JobDraft {
  const gone = draft.steps.find((step) => step.id === id)
  const steps = draft.steps.filter((step) => step.id !== id)
  if (!gone || steps.some((step) => keyOf(step) === keyOf(gone))) return { ...draft, steps }
  return { ...draft, steps, settled: new Set([...draft.settled, keyOf(gone)]) }
}

/** A step of the job as a plan keeps it; `lead`: a part of it may hold lead, and what cuts or raises dust says so. */
export function jobPlanStep({ operation, side, words, minutes }: JobStep, lead: boolean): PlannedStep {
  const { check = null, cautions = [] } = getOperation(operation)
  const step: PlannedStep = {
    ...plainStep(operation, minutes),
    window: findStepWindow({ operation, family: null }, null, { kind: 'wood', method: defaultMethod }),
    check,
    cautions,
    reason: words === null ? 'counted' : 'as-wished',
    side,
    ...(words !== null && { words }),
  }
  return withLeadSaid(step, lead)
}
