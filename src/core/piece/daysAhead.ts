/**
 * The days ahead of a piece as it stands: its parts' live windows, what runs, what is late, in the air of its room and by what
 * the studio has learned. Pure.
 */
import { type Air, dryingSpeed } from '@/core/drying/air'
import type { PlannedStep } from '@/core/finish/step'
import { asLearned, type Learned } from '@/core/learn/learned'
import { isAhead } from '@/core/log/stepStates'
import { dayOf, minuteOfDay, weekdayOf } from '@/core/measure/time'
import type { WorkingHours } from '@/core/measure/workingHours'
import type { TimedPart } from '@/core/plan/lane'
import { layOut, type Timeline, type Wait, waitOf } from '@/core/plan/timeline'
import type { Journey, PartJourney } from './journey'
import { lanesOf } from './lanes'
import type { PlanStep } from './piece'

export interface PartAhead extends TimedPart {
  steps: readonly PlanStep[]
}
export interface DaysAhead extends Timeline {
  parts: PartAhead[]
}

export interface Around {
  nowMs: number
  zone: string
  hours: WorkingHours
  /** of the room it stands in */
  air: Air
  learned: Learned
}

/** a finished part is handled gently after so many minutes */
export const dryDay = 1440

/** What must pass after a step in this air; for ever where it is too cold. */
export function waitIn(air: Air, learned: Learned): (step: PlannedStep) => Wait {
  return (step) => {
    const { window, film } = step
    const own = window && asLearned(window, step, learned)
    return waitOf(own, film, own ? dryingSpeed(own.clock, air) : 1)
  }
}

/** How a lane stands to the paint: the piece's own steps come before it and after it, what is painted rests first. */
export const aroundPaint = ({ part, steps }: Pick<PartJourney, 'part' | 'steps'>): Pick<TimedPart, 'paintFirst' | 'rests'> =>
  part.plan?.care === 'job'
    ? { paintFirst: steps.filter(({ step, state }) => step.side === 'before' && isAhead(state)).length }
    : { rests: part.plan?.care ? 0 : dryDay }

function partAhead({ part, steps, running, turn, window, done }: PartJourney, startAt: number, nowMs: number): PartAhead {
  const ahead = steps.filter(({ state }) => isAhead(state)).map(({ step }) => step)
  const minuteOf = (instant: string) => startAt + (Date.parse(instant) - nowMs) / 60_000
  const facts = {
    id: part.id,
    kind: part.kind,
    begun: done.length > 0,
    ...aroundPaint({ part, steps }),
  }
  if (running) {
    const rest = ahead.filter(({ id }) => id !== running.step.id)
    const all = [running.step, ...rest]
    if (!running.state.laidAt) return { ...facts, steps: all, worked: running.state.minutes }
    const opens = turn?.times.opens
    const readyAt = opens === null ? Infinity : opens === undefined ? startAt : Math.max(startAt, Math.ceil(minuteOf(opens)))
    if (turn) return { ...facts, steps: all, firstLaid: true, readyAt }
    // the second side is under the hand: half of it is behind
    return { ...facts, steps: all, firstLaid: true, worked: Math.max(0, running.state.minutes - running.step.minutes / 2) }
  }
  if (!window) return { ...facts, steps: ahead }
  const { opens, closes } = window.times
  const missed = closes !== null && Date.parse(closes) < nowMs
  return {
    ...facts,
    steps: ahead,
    readyAt: opens === null ? Infinity : Math.max(startAt, Math.ceil(minuteOf(opens))),
    ...(closes !== null && !missed && { closesAt: Math.floor(minuteOf(closes)) }),
    missed,
  }
}

/** Minutes are counted from the midnight before now, on the studio's wall. */
export function daysAhead(journey: Pick<Journey, 'parts' | 'whole'>, { nowMs, zone, hours, air, learned }: Around): DaysAhead {
  const now = new Date(nowMs).toISOString()
  const startAt = minuteOfDay(now, zone)
  const ahead = lanesOf(journey).map((part) => partAhead(part, startAt, nowMs))
  return { parts: ahead, ...layOut(ahead, hours, startAt, weekdayOf(dayOf(now, zone)), waitIn(air, learned)) }
}
