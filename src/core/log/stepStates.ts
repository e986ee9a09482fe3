/** Where each step of a plan stands, read off the log. Pure; `nowMs` is an argument. */
import type { PersonId, StepId } from '@/core/measure/named'
import type { Entry, EntryOf } from './entry'
import { type Labour, labourOf, minutesOf, type StepClock, stepClocks, untouchedClock, workIn } from './labour'

export interface StepState extends Pick<StepClock, 'status' | 'startedAt' | 'endedAt' | 'laidAt' | 'since' | 'ranMs'> {
  /** labour so far, all hands together; a running clock counts up to `nowMs` */
  minutes: number
  /** whose they were; '' for hands not named */
  byPerson: ReadonlyMap<PersonId, number>
  /** every coat that was logged on it, in order of time */
  coats: readonly EntryOf<'coat'>[]
  /** the last of them: what its drying is read by */
  coat: EntryOf<'coat'> | null
  /** the last answer to the check that ends it */
  check: EntryOf<'checked'> | null
  /** the end that counts */
  ended: EntryOf<'ended'> | null
  /** a second end by somebody else: which one counts is to be settled */
  conflict: EntryOf<'ended'> | null
}

const nobody: ReadonlyMap<PersonId, number> = new Map()
export const untouched: StepState = {
  ...untouchedClock,
  minutes: 0,
  byPerson: nobody,
  coats: [],
  coat: null,
  check: null,
  ended: null,
  conflict: null,
}

/**
 * States by step id; `log` is the effective log, and its clocks alone count. Where other pieces' clocks ran beside these, see
 * {@link statesOf}.
 */
export function stepStates(log: readonly Entry[], nowMs: number): Map<StepId, StepState> {
  const clocks = stepClocks(workIn(log), nowMs)
  return statesOf(log, clocks, labourOf(clocks))
}

/** The same, of clocks and labour that are known already. */
export function statesOf(log: readonly Entry[], clocks: ReadonlyMap<StepId, StepClock>, worked: Labour): Map<StepId, StepState> {
  const states = new Map<StepId, StepState>()
  for (const [id, { status, startedAt, endedAt, laidAt, since, ranMs }] of clocks) {
    const minutes = minutesOf(worked, id)
    states.set(id, {
      ...untouched,
      status,
      startedAt,
      endedAt,
      laidAt,
      since,
      ranMs,
      minutes,
      byPerson: worked.get(id) ?? nobody,
    })
  }
  for (const entry of log) {
    if (entry.stepId === null) continue
    // a coat may be written down on a step whose clock nobody touched
    const state = states.get(entry.stepId) ?? { ...untouched }
    if (entry.kind === 'coat') states.set(entry.stepId, Object.assign(state, { coat: entry, coats: [...state.coats, entry] }))
    if (entry.kind === 'checked') state.check = entry
    if (entry.kind === 'ended') {
      if (state.ended) state.conflict = entry
      else state.ended = entry
    }
  }
  return states
}

export const stateOf = (states: ReadonlyMap<StepId, StepState>, stepId: StepId): StepState => states.get(stepId) ?? untouched

/** Whether a step is still to be done, begun or not. */
export const isAhead = ({ status }: Pick<StepState, 'status'>): boolean => status !== 'done' && status !== 'left-out'
