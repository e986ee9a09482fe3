/**
 * Where a part and a piece stand on their way, and what can be done next: read off plan, log and air. Instants in ms where
 * they are compared; pure, `nowMs` is an argument.
 */
import { defaultMethod, type HouseMethod } from '@/core/craft/method'
import { kindOf } from '@/core/craft/parts'
import { curingFamily, curingOf, findStepWindow, type StepWindow } from '@/core/craft/windows'
import type { Air } from '@/core/drying/air'
import { type Phase, phaseAt, phasesOf, type Segment } from '@/core/drying/phase'
import { airAt, type Assistance, type DryingWindow, windowFor } from '@/core/drying/windowFor'
import { asLearned, type Learned } from '@/core/learn/learned'
import { assistanceOf, assistsIn } from '@/core/log/assistance'
import { type EndingEntry, type Entry, type EntryOf, isEnding, ofKind, type Outcome } from '@/core/log/entry'
import { clocksAt, type Labour } from '@/core/log/labour'
import { isAhead, stateOf, statesOf, type StepState } from '@/core/log/stepStates'
import { compareText } from '@/core/measure/compareText'
import type { Film } from '@/core/measure/film'
import type { Instant, StepId } from '@/core/measure/named'
import { cureOf, laidOf } from './laid'
import { lanesOf, type StageCode, stageOf } from './lanes'
import type { Climate, Part, PieceFile, PlanStep } from './piece'
import { everybodysLabour, type FileWork, type OtherWork, workOf } from './work'

export interface OpenWindow {
  /** the step whose end started the clock */
  after: PlanStep
  endedAt: Instant
  label: StepWindow
  film: Film
  times: DryingWindow
  segments: Segment[]
  phase: Phase
}
/** A step that is behind a part. */
export interface DoneStep {
  step: PlanStep
  state: StepState & { endedAt: Instant }
}
export interface PartJourney {
  part: Part
  steps: { step: PlanStep; state: StepState }[]
  /** what is done, of this plan and of earlier ones, in the order it was ended */
  done: DoneStep[]
  /** the window that the next step waits for; null where nothing holds it back */
  window: OpenWindow | null
  /** the step whose clock was started and not ended, of whichever plan: it may be paused */
  running: { step: PlanStep; state: StepState } | null
  /** its first side is laid: when it may be turned onto it; null while it is worked, and where it has one side */
  turn: OpenWindow | null
  next: PlanStep | null
  finishedAt: Instant | null
  /** when it may be handled, and used, after its last coat; null before the last step is done */
  handle: OpenWindow | null
  use: OpenWindow | null
  /** checks put off: each is still to be answered */
  checks: { step: PlanStep; asked: EntryOf<'checked'> }[]
  assistance: Assistance[]
  /** the air it stands in, as it was last read; null where nobody read it lately */
  air: Air | null
  /** the house's method, with what this part departs from */
  method: HouseMethod
}
export interface Ending {
  outcome: Outcome
  entry: EndingEntry
}
export interface Journey {
  file: PieceFile
  log: Entry[]
  parts: PartJourney[]
  /** the work around the paint; null until it is planned */
  whole: PartJourney | null
  stage: StageCode
  listing: EntryOf<'listed'> | null
  ending: Ending | null
  /** minutes of labour so far and still to come by the norms */
  minutesDone: number
  minutesLeft: number
}

/** What a journey is read in: the air, the house, everybody's hours, what the studio has learned. */
export interface ReadingContext {
  climate: Climate
  nowMs: number
  method?: HouseMethod | undefined
  /** clocks of other pieces that may have run beside this one's */
  others?: readonly OtherWork[]
  /** the studio's own drying figures */
  learned?: Learned | undefined
}
interface Reading extends Required<Pick<ReadingContext, 'climate' | 'nowMs' | 'method'>> {
  log: readonly Entry[]
  states: ReadonlyMap<StepId, StepState>
  learned: Learned
}

function partJourney(part: Part, { climate, nowMs, method, log, states, learned }: Reading): PartJourney {
  const steps = (part.plan?.steps ?? []).map((step) => ({ step, state: stateOf(states, step.id) }))
  const worked = [...part.earlier.map((step) => ({ step, state: stateOf(states, step.id) })), ...steps]
  // a clock that ran when the plan was changed runs on
  const running = worked.find(({ state }) => state.status === 'running' || state.status === 'paused') ?? null
  const done = worked
    .flatMap(({ step, state }): DoneStep[] =>
      state.status === 'done' && state.endedAt !== null ? [{ step, state: { ...state, endedAt: state.endedAt } }] : [],
    )
    .sort((a, b) => compareText(a.state.endedAt, b.state.endedAt))
  const last = done.at(-1)
  const next = steps.find(({ state }) => state.status === 'waiting')?.step ?? null
  const assistance = assistanceOf(assistsIn(log), part.id)
  const open = ({ step, state }: DoneStep, own: StepWindow, filmOf = (film: Film) => film): OpenWindow => {
    const label = asLearned(own, laidOf(step, state), learned)
    const { endedAt } = state
    const film = filmOf(state.coat?.coat.film ?? step.film)
    const times = windowFor({ endedAt, kind: label.clock, film, label, climate, assistance })
    const segments = phasesOf(times, Date.parse(endedAt))
    return { after: step, endedAt, label, film, times, segments, phase: phaseAt(segments, nowMs) }
  }
  // a plan that asks for nothing more is done with what was done before it
  const left = part.plan?.care && steps.length === 0 ? part.plan.madeAt : null
  const finished = part.plan !== null && !running && (left ?? worked.length > 0) && steps.every(({ state }) => !isAhead(state))
  const own = { ...method, ...part.plan?.departures }
  const lastCoat = done.findLast(({ step }) => step.amount !== null)
  const curing =
    finished && lastCoat ? curingOf(curingFamily(lastCoat.step.family), Number(own.fullUse), cureOf(lastCoat, learned)) : null
  // after a change of plan what holds a part back is the window to what follows by the new one
  const replanned = last !== undefined && part.earlier.includes(last.step)
  // what was planned with a fan dries so much faster only while one is on: that is read off the log
  const label =
    last && (replanned || own.drying === 'fan')
      ? findStepWindow(last.step, next?.operation ?? null, { kind: kindOf(part), method: own })
      : (last?.step.window ?? null)
  const laidAt = running?.state.status === 'paused' ? running.state.laidAt : null
  const turns = running?.step.turns
  const turning: StepWindow | null =
    turns === undefined
      ? null
      : { clock: running?.step.window?.clock ?? 'evaporation', opens: [turns, turns], source: 'practice' }
  return {
    part,
    steps,
    done,
    turn:
      running && turning && laidAt ? open({ step: running.step, state: { ...running.state, endedAt: laidAt } }, turning) : null,
    window: last && label && !finished ? open(last, label) : null,
    running,
    next,
    finishedAt: finished ? (last?.state.endedAt ?? left) : null,
    handle: curing && lastCoat ? open(lastCoat, curing.handle, notThin) : null,
    use: curing && lastCoat ? open(lastCoat, curing.use, notThin) : null,
    checks: done.flatMap(({ step, state }) => (state.check?.result === 'later' ? [{ step, asked: state.check }] : [])),
    assistance,
    air: airAt(climate, nowMs),
    method: own,
  }
}

/** A thin coat is dry sooner; it is no sooner hard. */
const notThin = (film: Film): Film => (film === 'thin' ? 'normal' : film)

/** A journey with all it is read in; see {@link ReadingContext}. */
export const readPiece = (file: PieceFile, around: ReadingContext): Journey =>
  read(workOf(file), everybodysLabour([workOf(file)], around.others ?? [], around.nowMs), around)

/** Journeys of all the pieces given, each in its own air; their clocks are read together. */
export function readPieces(
  files: readonly PieceFile[],
  around: Omit<ReadingContext, 'climate'> & { climateOf: (file: PieceFile) => Climate },
): Journey[] {
  const worked = files.map(workOf)
  const labour = everybodysLabour(worked, around.others ?? [], around.nowMs)
  return worked.map((work) => read(work, labour, { ...around, climate: around.climateOf(work.file) }))
}

function read({ file, log, clocks }: FileWork, labour: Labour, { climate, nowMs, method, learned }: ReadingContext): Journey {
  const states = statesOf(log, clocksAt(clocks, nowMs), labour)
  const reading = { climate, nowMs, method: method ?? defaultMethod, log, states, learned: learned ?? {} }
  const parts = file.parts.map((part) => partJourney(part, reading))
  const whole = file.whole && partJourney(file.whole, reading)
  const end = log.findLast(isEnding) ?? null
  const listing = ofKind(log, 'listed').at(-1) ?? null
  const all = lanesOf({ parts, whole }).flatMap(({ steps }) => steps)
  return {
    file,
    log,
    parts,
    whole,
    listing,
    ending: end && { outcome: end.kind, entry: end },
    stage: stageOf(parts, whole, end !== null, listing !== null),
    minutesDone:
      [...states.values()].reduce((sum, { minutes }) => sum + minutes, 0) +
      ofKind(log, 'split').reduce((sum, { detail }) => sum + detail.sign * detail.minutes, 0),
    minutesLeft: all
      .filter(({ state }) => isAhead(state))
      .reduce((sum, { step, state }) => sum + Math.max(0, step.minutes - state.minutes), 0),
  }
}
