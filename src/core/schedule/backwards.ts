/**
 * A week worked from its end: the same workshop in a mirror, in which each piece is begun, with its last step, no sooner than its date, and all
 * is to be over by the first minute. What is narrow at its end is decided first so. Pure.
 */
import { orderOf } from './bound'
import { type Dates, Moments } from './byMoments'
import { Calendar } from './calendar'
import type { Look } from './look'
import { isFirm, type Lag, type WorkshopProblem, type WorkshopSchedule } from './problem'
import type { Search } from './search'
import type { StepFacts } from './stepFacts'

type Shared = Pick<Search, 'problem' | 'random'>

export class Backwards {
  private readonly moments: Moments
  private readonly facts: StepFacts
  /** by when each piece of the mirror must be over */
  private readonly dues: readonly number[]

  constructor(private readonly search: Shared) {
    const problem = mirrored(search.problem)
    const calendars = problem.painters.map((each) => new Calendar(each, problem.grid, problem.horizon))
    const earliest = { calendars, order: orderOf(problem) }
    this.moments = new Moments({ problem, earliest, pins: new Map(), random: search.random })
    this.facts = this.moments.facts
    this.dues = problem.pieces.map(({ due }) => due)
  }

  /** How much of the last week was worked before it was given up: a share of its steps. */
  get came(): number {
    return this.moments.came
  }

  /**
   * A week in which every piece ends by its date, as late as that may be; null where none was found, or the time is over. Whether it may be worked
   * is to be checked: drying places that are taken from the first minute on, and windows that are open then, are not looked at.
   */
  work(look: Look, { dates }: Dates, isOver: () => boolean): WorkshopSchedule | null {
    const { facts, search } = this
    const { grid, horizon, pieces, lags, steps } = search.problem
    // the last waits of the mirror hold each piece's last step
    pieces.forEach((_, piece) => {
      const date = Math.floor(Math.min(horizon, dates[piece] ?? horizon) / grid) * grid
      facts.waits.min[lags.length + piece] = horizon - date
    })
    const week = this.moments.work(look, { dates: this.dues }, isOver)
    if (!week) return null
    const start = steps.map((_, step) => horizon - facts.endOf(step, week.painter[step] ?? 0, week.start[step] ?? 0))
    return { start, painter: week.painter }
  }
}

function mirrored(problem: WorkshopProblem): WorkshopProblem {
  const { steps, lags, pieces, painters, horizon } = problem
  const back = (minute: number) => horizon - Math.min(minute, horizon)
  const held = { max: null, hard: false, penalty: 0, rack: false }
  // in their places, so that the last are those of the pieces
  const turned = lags.map((lag): Lag => {
    const { from, to, max } = lag
    if (from !== null) return { ...lag, from: to, to: from }
    // what must be begun by a minute ends no sooner than its mirror
    const soonest = max !== null && isFirm(lag) ? Math.max(0, back(max) - (steps[to]?.dur ?? 0)) : 0
    return { from: null, to, min: soonest, ...held }
  })
  const released = steps.map((_, step) =>
    lags.reduce((most, { from, to, min }) => (to === step && from === null ? Math.max(most, min) : most), 0),
  )
  const isFirst = steps.map((_, step) => lags.every(({ from, to }) => to !== step || from === null))
  return {
    ...problem,
    painters: painters.map(({ id, work }) => ({
      id,
      work: work
        .filter(([from]) => from < horizon)
        .map(([from, to]) => [back(to), back(from)] as const)
        .reverse(),
    })),
    lags: [...turned, ...pieces.map(({ final }): Lag => ({ from: null, to: final, min: 0, ...held }))],
    pieces: steps.flatMap(({ name }, final) => {
      const release = released[final] ?? 0
      return isFirst[final] || release > 0 ? [{ id: name, due: horizon - release, weight: 1, final }] : []
    }),
  }
}
