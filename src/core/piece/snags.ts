/** What went wrong on a piece, and what mending it has cost: minutes by the log, material by the coats. Pure. */
import { type Entry, type EntryOf, ofKind } from '@/core/log/entry'
import { isAhead, stateOf, type StepState, stepStates } from '@/core/log/stepStates'
import type { StepId } from '@/core/measure/named'
import { waitOf } from '@/core/plan/timeline'
import type { Journey } from './journey'
import type { Part, PlanStep } from './piece'

export interface Snag {
  entry: EntryOf<'snag'>
  part: Part | null
  /** labour that went into mending it so far */
  minutes: number
  /** coats laid in mending it, minor units */
  money: number
  /** steps of its mending still to come; minutes of work in them, and minutes that they dry, by the label */
  ahead: number
  workAhead: number
  dryAhead: number
  /** steps that were planned to mend it */
  steps: number
}

/** The snags of a piece, oldest first. */
export function snagsOf(journey: Journey): Snag[] {
  const worked = journey.parts.flatMap(({ part, steps, done }) => [
    ...steps.map((each) => ({ ...each, part })),
    ...done.filter(({ step }) => part.earlier.includes(step)).map((each) => ({ ...each, part })),
  ])
  return ofKind(journey.log, 'snag').map((entry): Snag => {
    const mending = worked.filter(({ step }) => step.mends === entry.id)
    return {
      entry,
      part: journey.file.parts.find(({ id }) => id === entry.partId) ?? null,
      ...costOf(mending.map(({ state }) => state)),
      steps: mending.length,
      ...stillToCome(mending.filter(({ state }) => isAhead(state))),
    }
  })
}

const stillToCome = (mending: readonly { step: PlanStep }[]): Pick<Snag, 'ahead' | 'workAhead' | 'dryAhead'> => ({
  ahead: mending.length,
  workAhead: mending.reduce((sum, { step }) => sum + step.minutes, 0),
  dryAhead: mending.reduce((sum, { step }) => sum + waitOf(step.window, step.film).opens, 0),
})

const costOf = (mending: readonly StepState[]): Pick<Snag, 'minutes' | 'money'> => ({
  minutes: mending.reduce((sum, { minutes }) => sum + minutes, 0),
  money: mending.flatMap(({ coats }) => coats).reduce((sum, { money }) => sum + money, 0),
})

export interface SnagSum {
  remedy: EntryOf<'snag'>['remedy']
  count: number
  minutes: number
  money: number
}
/** Snags looked back on, of any piece: which steps mended each, and what was written on those steps, corrections applied. */
export interface SnagRecord {
  snags: readonly EntryOf<'snag'>[]
  mending: readonly { stepId: StepId; mends: string }[]
  log: readonly Entry[]
}

/** What each kind of snag has cost, the dearest in minutes first; two mended by one person at one time share the minutes. */
export function sumSnags({ snags, mending, log }: SnagRecord, nowMs: number): SnagSum[] {
  const states = stepStates(log, nowMs)
  const sums = new Map<EntryOf<'snag'>['remedy'], SnagSum>()
  for (const { id, remedy } of snags) {
    const sum = sums.get(remedy) ?? { remedy, count: 0, minutes: 0, money: 0 }
    const { minutes, money } = costOf(mending.filter(({ mends }) => mends === id).map(({ stepId }) => stateOf(states, stepId)))
    sums.set(remedy, { ...sum, count: sum.count + 1, minutes: sum.minutes + minutes, money: sum.money + money })
  }
  return [...sums.values()].sort((a, b) => b.minutes - a.minutes || b.count - a.count)
}
