/** What must pass after a step of the week, through the air that is expected then. Minutes; pure. */
import { type AirAhead, airAheadAt, isSteady, minutesThrough } from '@/core/climate/airAhead'
import type { Air } from '@/core/drying/air'
import { filmMinutes } from '@/core/drying/windowFor'
import type { PlannedStep } from '@/core/finish/step'
import { asLearned, type Learned } from '@/core/learn/learned'
import { minutesHere, type Pace } from '@/core/learn/pace'
import type { Wait } from '@/core/plan/timeline'
import { onGrid } from './figures'
import type { LineFigures } from './place'

/** A wait, and the air that it is reckoned in at its beginning. */
export interface WaitInAir extends Wait {
  air: Air
}
const hourMs = 3_600_000
/** Where it isn't known when a step ends, it may be at any of these hours on from the first moment. */
const anyHour = [0, 3, 6, 9, 12, 15, 18, 21]

/** After a step that ends at a moment, ms; where that isn't known, what holds whenever it ends: the latest opening, the soonest close. */
export function waitThrough(
  ahead: AirAhead,
  learned: Learned,
  nowMs: number,
): (step: PlannedStep, endMs: number | null) => WaitInAir {
  return (step, endMs) => {
    const { window, film } = step
    const air = airAheadAt(ahead, endMs ?? nowMs)
    const own = window && asLearned(window, step, learned)
    if (!own) return { opens: 0, closes: Infinity, air }
    const from = endMs !== null || isSteady(ahead) ? [endMs ?? nowMs] : anyHour.map((hour) => nowMs + hour * hourMs)
    const through = (label: number) => from.map((ms) => minutesThrough(ahead, own.clock, label * filmMinutes[film], ms))
    return {
      opens: Math.ceil(Math.max(...through(own.opens[1]))),
      closes: own.closes ? Math.floor(Math.min(...through(own.closes[0]))) : Infinity,
      air,
    }
  }
}

/** What a step is reckoned by. */
export function figuresOf(step: PlannedStep, pace: Pace, { opens, closes, air }: WaitInAir): LineFigures {
  const known = (minutes: number) => (minutes === 0 || minutes === Infinity ? null : minutes)
  return {
    minutes: onGrid(minutesHere(step, pace)),
    planned: step.minutes,
    seen: pace[step.operation]?.count ?? 0,
    opens: known(opens),
    closes: known(closes),
    temperature: Math.round(air.temperature * 10) / 10,
    humidity: Math.round(air.humidity),
  }
}
