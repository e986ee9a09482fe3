/** Where each step of a plan stands, read off the log. Pure; `nowMs` is an argument. */
import type { Entry } from './entry'
import { labourOf, minutesOf, stepClocks, untouchedClock, type Labour, type StepClock } from './labour'

export interface StepState extends Pick<StepClock, 'status' | 'startedAt' | 'endedAt' | 'since' | 'ranMs'> {
  /** labour so far, all hands together; a running clock counts up to `nowMs` */
  minutes: number
  /** whose they were; '' for hands not named */
  byPerson: ReadonlyMap<string, number>
  coat: Entry | null
  /** the last answer to the check that ends it */
  check: Entry | null
  /** the end that counts */
  ended: Entry | null
  /** a second end by somebody else: which one counts is to be settled */
  conflict: Entry | null
}

const nobody: ReadonlyMap<string, number> = new Map()
export const untouched: StepState = {
  ...untouchedClock,
  minutes: 0,
  byPerson: nobody,
  coat: null,
  check: null,
  ended: null,
  conflict: null,
}

/**
 * States by step id; `log` is the effective log. `labour` is everybody's, where other pieces' clocks ran beside these; without
 * it this log's alone counts.
 */
export function stepStates(log: readonly Entry[], nowMs: number, labour?: Labour): Map<string, StepState> {
  const clocks = stepClocks(log, nowMs)
  const worked = labour ?? labourOf(clocks)
  const states = new Map<string, StepState>()
  for (const [id, { status, startedAt, endedAt, since, ranMs }] of clocks) {
    const minutes = minutesOf(worked, id)
    states.set(id, { ...untouched, status, startedAt, endedAt, since, ranMs, minutes, byPerson: worked.get(id) ?? nobody })
  }
  for (const entry of log) {
    const state = entry.stepId ? states.get(entry.stepId) : undefined
    if (!state || !entry.stepId) continue
    if (entry.kind === 'coat') state.coat = entry
    if (entry.kind === 'checked') state.check = entry
    if (entry.kind === 'ended') {
      if (state.ended) state.conflict = entry
      else state.ended = entry
    }
  }
  return states
}

export const stateOf = (states: ReadonlyMap<string, StepState>, stepId: string): StepState => states.get(stepId) ?? untouched

/** Whether a step is still to be done, begun or not. */
export const isAhead = ({ status }: Pick<StepState, 'status'>): boolean => status !== 'done' && status !== 'left-out'
