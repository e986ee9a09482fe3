/** Whether a schedule may be worked, and what it costs: read step by step, apart from how schedules are made. Pure. */
import { Calendar, never } from './calendar'
import { type Lag, ruin, type WorkshopProblem, type WorkshopSchedule } from './problem'

export interface Checked {
  /** what may not be, in words for whoever reads a log; none where it may be worked */
  faults: string[]
  cost: number
  /** waits whose most was broken, by their index */
  missed: number[]
  end: number[]
}

/** The most that hold at one time. */
function peakOf(stays: readonly (readonly [number, number])[]): number {
  const marks = stays.flatMap(([from, to]) => (from < to ? [[from, 1] as const, [to, -1] as const] : []))
  let [held, peak] = [0, 0]
  for (const [, by] of marks.sort(([a, one], [b, other]) => a - b || one - other)) peak = Math.max(peak, (held += by))
  return peak
}

/** What a week counts while weeks are compared: each ruined coat above all promises. */
export const worthOf = ({ lags }: WorkshopProblem, { cost, missed }: Pick<Checked, 'cost' | 'missed'>): number =>
  cost + missed.filter((k) => lags[k]?.hard).length * ruin

export function checkWeek(problem: WorkshopProblem, { start, painter }: WorkshopSchedule): Checked {
  const { steps, lags, painters, pieces, pools, setup, cost } = problem
  const faults: string[] = []
  const calendars = painters.map((each) => new Calendar(each, problem.grid, problem.horizon))
  const end = steps.map((step, k) => {
    const [at, by] = [start[k] ?? never, painter[k] ?? never]
    const ends = step.painters.includes(by) && at >= 0 ? (calendars[by]?.endOf(step, at) ?? never) : never
    if (ends === never) faults.push(`step ${k} (${step.name}) can't be worked at ${at} by ${by}`)
    return ends
  })
  const startOf = (k: number) => start[k] ?? 0
  const endOf = (k: number | null) => (k === null ? 0 : (end[k] ?? 0))
  const missed: number[] = []
  lags.forEach(({ from, to, min, max }, k) => {
    const gap = startOf(to) - endOf(from)
    if (gap < min) faults.push(`step ${to} begins ${min - gap} min too early after ${from}`)
    if (max !== null && gap > max) missed.push(k)
  })
  painters.forEach((_, by) => {
    const own = steps.flatMap((_step, k) => (painter[k] === by ? [k] : [])).sort((a, b) => startOf(a) - startOf(b))
    let wet: number | null = null
    own.forEach((k, place) => {
      const before = own[place - 1]
      if (before !== undefined && startOf(k) < endOf(before)) faults.push(`steps ${before} and ${k} want the same hands`)
      const product = steps[k]?.product ?? null
      if (product === null) return
      if (wet !== null && steps[wet]?.product !== product && startOf(k) < endOf(wet) + setup)
        faults.push(`no time to clean the brush between steps ${wet} and ${k}`)
      wet = k
    })
  })
  const sprayed = steps.flatMap((step, k) => (step.spray ? [[startOf(k), endOf(k)] as const] : []))
  if (peakOf(sprayed) > pools.spray) faults.push('too many are sprayed at once')
  const drying = (isHere: (lag: Lag) => boolean) =>
    lags.flatMap((lag) => (lag.rack && isHere(lag) ? [[endOf(lag.from), startOf(lag.to)] as const] : []))
  if (peakOf(drying(() => true)) > pools.rack) faults.push('too few drying places')
  pools.rooms?.forEach((places, room) => {
    if (peakOf(drying((lag) => lag.room === room)) > places) faults.push(`too few drying places in room ${room}`)
  })
  const pieceCost = pieces.reduce((sum, { due, weight, final }) => {
    const done = endOf(final)
    return sum + cost.tardy * weight * Math.max(0, done - due) + cost.flow * done
  }, 0)
  return { faults, missed, end, cost: pieceCost + missed.reduce((sum, k) => sum + (lags[k]?.penalty ?? 0), 0) }
}
