/**
 * What no schedule can cost less than. A piece ends no sooner than its longest path through its workers' hours; the first k pieces to
 * end have had all their work, so the k-th end comes no sooner than all hands together can have done the k least works. Which piece
 * ends at which rank is an assignment, solved for its least cost. Pure.
 */
import { assign } from '@/core/measure/assign'
import { Calendar, never } from './calendar'
import { NoSchedule, type WorkshopProblem } from './problem'

export interface Earliest {
  /** by step: no sooner does it end */
  end: number[]
  calendars: Calendar[]
  /** steps in an order in which each comes after all that it waits for */
  order: number[]
}

/** Steps after what they wait for; throws where they wait for each other. */
export function orderOf({ steps, lags }: Pick<WorkshopProblem, 'steps' | 'lags'>): number[] {
  const waits = steps.map(() => 0)
  const after = steps.map((): number[] => [])
  for (const { from, to } of lags) {
    if (from === null) continue
    waits[to] = (waits[to] ?? 0) + 1
    after[from]?.push(to)
  }
  const order = steps.flatMap((_, k) => (waits[k] === 0 ? [k] : []))
  for (let at = 0; at < order.length; at += 1)
    for (const to of after[order[at] ?? 0] ?? []) {
      waits[to] = (waits[to] ?? 0) - 1
      if (waits[to] === 0) order.push(to)
    }
  const stuck = waits.findIndex((left) => left > 0)
  if (stuck >= 0) throw new NoSchedule(stuck, `Step ${stuck} (${steps[stuck]?.name}) waits for itself.`)
  return order
}

/** Each step as if it were alone in the workshop with what it waits for. Throws where one fits into nobody's day. */
export function earliestOf(problem: WorkshopProblem): Earliest {
  const { steps, lags, painters, grid, horizon } = problem
  const calendars = painters.map((each) => new Calendar(each, grid, horizon))
  const into = steps.map((): (typeof lags)[number][] => [])
  for (const lag of lags) into[lag.to]?.push(lag)
  const end = steps.map(() => 0)
  const order = orderOf(problem)
  for (const k of order) {
    const step = steps[k]
    if (!step) continue
    const ready = (into[k] ?? []).reduce((most, { from, min }) => Math.max(most, (from === null ? 0 : (end[from] ?? 0)) + min), 0)
    const ends = step.painters.flatMap((by) => {
      const start = calendars[by]?.nextStart(step, ready) ?? never
      const done = start === never ? never : (calendars[by]?.endOf(step, start) ?? never)
      return done === never ? [] : [done]
    })
    if (ends.length === 0)
      throw new NoSchedule(
        k,
        `Step ${k} (${step.name}) of ${step.dur} min fits into nobody's hours: a longer day, or a shorter step.`,
        { isTooLong: true },
      )
    end[k] = Math.min(...ends)
  }
  return { end, calendars, order }
}

/** Minutes by which all hands together have worked so long. */
function whenWorked({ painters }: WorkshopProblem): (work: number) => number {
  const marks = painters.flatMap(({ work }) => work.flatMap(([from, to]) => [[from, 1] as const, [to, -1] as const]))
  marks.sort(([a], [b]) => a - b)
  return (wanted) => {
    let [hands, now, worked] = [0, 0, 0]
    for (const [at, by] of marks) {
      if (worked + hands * (at - now) >= wanted) return hands === 0 ? now : now + (wanted - worked) / hands
      worked += hands * (at - now)
      now = at
      hands += by
    }
    return Infinity
  }
}

/** What a piece costs that ends then. */
export const costOfEnd = ({ pieces, cost }: WorkshopProblem, piece: number, end: number): number => {
  const { due = 0, weight = 0 } = pieces[piece] ?? {}
  return cost.tardy * weight * Math.max(0, end - due) + cost.flow * end
}

export function lowerBound(problem: WorkshopProblem, earliest = earliestOf(problem)): number {
  const { pieces, steps } = problem
  const work = pieces.map((_, piece) => steps.reduce((sum, step) => sum + (step.piece === piece ? step.dur : 0), 0))
  const by = whenWorked(problem)
  const alone = pieces.map(({ final }, piece) => Math.max(earliest.end[final] ?? 0, by(work[piece] ?? 0)))
  let sum = 0
  const ranks = [...work].sort((a, b) => a - b).map((each) => by((sum += each)))
  if (ranks.some((at) => at === Infinity)) return Infinity
  const table = pieces.map((_, piece) =>
    ranks.map((at) => Math.floor(costOfEnd(problem, piece, Math.max(at, alone[piece] ?? 0)))),
  )
  return assign(table)
}
