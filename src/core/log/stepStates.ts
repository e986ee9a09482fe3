/** Where each step of a plan stands, read off the log. Pure; `nowMs` is an argument. */
import type { Entry } from './entry'

export interface StepState {
  status: 'waiting' | 'running' | 'done' | 'left-out'
  startedAt: string | null
  endedAt: string | null
  /** labour so far; a running clock counts up to `nowMs` */
  minutes: number
  coat: Entry | null
}

const untouched: StepState = { status: 'waiting', startedAt: null, endedAt: null, minutes: 0, coat: null }
const minuteMs = 60_000

/** States by step id; `log` is the effective log. The first start and the first end count where two people tapped. */
export function stepStates(log: readonly Entry[], nowMs: number): Map<string, StepState> {
  const states = new Map<string, StepState>()
  for (const entry of log) {
    if (!entry.stepId) continue
    const state = states.get(entry.stepId) ?? untouched
    states.set(entry.stepId, next(state, entry))
  }
  for (const [id, state] of states) {
    if (state.status !== 'running' || !state.startedAt) continue
    const minutes = Math.max(0, (nowMs - Date.parse(state.startedAt)) / minuteMs)
    states.set(id, { ...state, minutes })
  }
  return states
}

function next(state: StepState, entry: Entry): StepState {
  if (entry.kind === 'started' && state.startedAt === null && state.endedAt === null)
    return { ...state, status: 'running', startedAt: entry.at }
  if (entry.kind === 'ended' && state.endedAt === null) {
    const clocked = state.startedAt ? (Date.parse(entry.at) - Date.parse(state.startedAt)) / minuteMs : 0
    return { ...state, status: 'done', endedAt: entry.at, minutes: entry.minutes ?? Math.max(0, clocked) }
  }
  if (entry.kind === 'left-out' && state.endedAt === null) return { ...state, status: 'left-out', endedAt: null }
  if (entry.kind === 'coat') return { ...state, coat: entry }
  return state
}

export const stateOf = (states: ReadonlyMap<string, StepState>, stepId: string): StepState => states.get(stepId) ?? untouched
