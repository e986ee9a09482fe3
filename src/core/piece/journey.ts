/**
 * Where a part and a piece stand on their way, and what can be done next: read off plan, log and air. Instants in ms where
 * they are compared; pure, `nowMs` is an argument.
 */
import { phaseAt, phasesOf, type Phase, type Segment } from '../drying/phase'
import { windowFor, type DryingWindow } from '../drying/windowFor'
import { isPaint, type FamilyCode } from '../finish/families'
import { defaultMethod, type HouseMethod } from '../finish/method'
import { getSubstrate } from '../finish/parts'
import { curingOf, findStepWindow, type StepWindow } from '../finish/windows'
import { effectiveLog, outcomes, type Entry, type Outcome } from '../log/entry'
import { stateOf, stepStates, type StepState } from '../log/stepStates'
import type { Climate, Part, PieceFile, PlanStep } from './piece'
import type { Film } from '../mix/coatVolumes'

export interface OpenWindow {
  /** the step whose end started the clock */
  after: PlanStep
  endedAt: string
  label: StepWindow
  times: DryingWindow
  segments: Segment[]
  phase: Phase
}
export interface PartJourney {
  part: Part
  steps: { step: PlanStep; state: StepState }[]
  /** the window that the next step waits for; null where nothing holds it back */
  window: OpenWindow | null
  running: { step: PlanStep; state: StepState } | null
  next: PlanStep | null
  finishedAt: string | null
  /** when it may be handled, and used, after its last coat; null before the last step is done */
  handle: OpenWindow | null
  use: OpenWindow | null
}
export interface Ending {
  outcome: Outcome
  entry: Entry
}
export type StageCode = 'just-in' | 'under-way' | 'resting' | 'ready' | 'listed' | 'ended'
export interface Journey {
  file: PieceFile
  log: Entry[]
  parts: PartJourney[]
  stage: StageCode
  listing: Entry | null
  ending: Ending | null
  /** minutes of labour so far and still to come by the norms */
  minutesDone: number
  minutesLeft: number
}

function openWindow(
  after: PlanStep,
  label: StepWindow,
  film: Film,
  endedAt: string,
  climate: Climate,
  nowMs: number,
): OpenWindow {
  const times = windowFor({ endedAt, kind: label.clock, film, label, climate, assistance: [] })
  const segments = phasesOf(times, Date.parse(endedAt))
  return { after, endedAt, label, times, segments, phase: phaseAt(segments, nowMs) }
}

function partJourney(
  part: Part,
  states: Map<string, StepState>,
  climate: Climate,
  nowMs: number,
  method: HouseMethod,
): PartJourney {
  const steps = (part.plan?.steps ?? []).map((step) => ({ step, state: stateOf(states, step.id) }))
  const gone = [...part.earlier.map((step) => ({ step, state: stateOf(states, step.id) })), ...steps]
    .filter(({ state }) => state.status === 'done' && state.endedAt !== null)
    .sort((a, b) => (a.state.endedAt ?? '').localeCompare(b.state.endedAt ?? ''))
  const last = gone.at(-1)
  const next = steps.find(({ state }) => state.status === 'waiting')?.step ?? null
  const open = (step: PlanStep, state: StepState, label: StepWindow) =>
    openWindow(step, label, state.coat?.coat?.film ?? step.film, state.endedAt ?? '', climate, nowMs)
  const finished =
    part.plan !== null && steps.length > 0 && steps.every(({ state }) => state.status === 'done' || state.status === 'left-out')
  const lastCoat = gone.findLast(({ step }) => step.amount !== null)
  const curing = finished && lastCoat ? curingOf(curingFamily(lastCoat.step)) : null
  // after a change of plan what holds a part back is the window to what follows by the new one
  const replanned = last !== undefined && part.earlier.includes(last.step)
  const around = { kind: getSubstrate(part.substrate).kind, method: { ...method, ...part.plan?.departures } }
  const label = replanned
    ? findStepWindow(last.step.operation, last.step.family, next?.operation ?? null, around)
    : (last?.step.window ?? null)
  return {
    part,
    steps,
    window: last && label && !finished ? open(last.step, last.state, label) : null,
    running: steps.find(({ state }) => state.status === 'running') ?? null,
    next,
    finishedAt: finished ? (last?.state.endedAt ?? null) : null,
    handle: curing && lastCoat ? open(lastCoat.step, lastCoat.state, curing.handle) : null,
    use: curing && lastCoat ? open(lastCoat.step, lastCoat.state, curing.use) : null,
  }
}

/** Cure is the coat's own; a primer or cleaner on top counts as a clear. */
const curingFamily = (step: PlanStep): FamilyCode =>
  step.family && (isPaint(step.family) || ['water-clear', 'hard-clear', 'clear-wax', 'dark-wax'].includes(step.family))
    ? step.family
    : 'water-clear'

/** The whole journey of a piece at `nowMs`, in this air. */
export function journeyOf(file: PieceFile, climate: Climate, nowMs: number, method: HouseMethod = defaultMethod): Journey {
  const log = effectiveLog(file.log)
  const states = stepStates(log, nowMs)
  const parts = file.parts.map((part) => partJourney(part, states, climate, nowMs, method))
  const end = log.findLast(({ kind }) => kind in outcomes) ?? null
  const listing = log.findLast(({ kind }) => kind === 'listed') ?? null
  const all = parts.flatMap(({ steps }) => steps)
  return {
    file,
    log,
    parts,
    listing,
    ending: end ? { outcome: end.kind as Outcome, entry: end } : null,
    stage: stageOf(parts, end !== null, listing !== null),
    minutesDone: [...states.values()].reduce((sum, { minutes }) => sum + minutes, 0),
    minutesLeft: all
      .filter(({ state }) => state.status === 'waiting' || state.status === 'running')
      .reduce((sum, { step, state }) => sum + Math.max(0, step.minutes - state.minutes), 0),
  }
}

function stageOf(parts: readonly PartJourney[], ended: boolean, listed: boolean): StageCode {
  if (ended) return 'ended'
  if (listed) return 'listed'
  const planned = parts.filter(({ part }) => part.plan !== null)
  if (planned.length > 0 && parts.every(({ finishedAt }) => finishedAt !== null)) {
    return parts.some(({ use }) => use !== null && use.phase === 'shut') ? 'resting' : 'ready'
  }
  const begun = parts.some(({ steps, part }) => part.earlier.length > 0 || steps.some(({ state }) => state.status !== 'waiting'))
  return begun ? 'under-way' : 'just-in'
}
