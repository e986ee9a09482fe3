/** What is kept of a week where everything is for hire: trees of waits, and how late each piece may end. Minutes; pure. */
import { costOfEnd, type Earliest } from './bound'
import { never } from './calendar'
import type { Lag, WorkshopProblem } from './problem'
import { lastUntil, type Starts } from './starts'

/**
 * By step: the last minute by which it must be over where each piece ends by `ends`, by the waits of its own tree: another piece may end
 * later. What no piece waits for in it has until the horizon.
 */
export function latestEnds(
  { steps, pieces, grid, horizon }: WorkshopProblem,
  { order }: Earliest,
  starts: readonly Starts[],
  { ends, tree }: { ends: readonly number[]; tree: readonly Lag[] },
): Int32Array {
  const latest = new Int32Array(steps.length).fill(horizon)
  pieces.forEach(({ final }, piece) => (latest[final] = ends[piece] ?? horizon))
  const goesTo = new Map(tree.flatMap((lag) => (lag.from === null ? [] : [[lag.from, lag]])))
  for (const step of order.toReversed()) {
    const lag = goesTo.get(step)
    const next = lag && starts[lag.to]
    if (!lag || !next) continue
    const nth = lastUntil(next, Math.ceil((latest[lag.to] ?? 0) / grid))
    const begins = nth === never ? never : (next.start[nth] ?? 0) * grid
    latest[step] = Math.min(latest[step] ?? 0, begins - lag.min)
  }
  return latest
}
/** Whether some piece waits for all that is before it in its tree. */
function isWaitedFor(problem: WorkshopProblem, { order }: Earliest): boolean {
  const waited = new Set(problem.pieces.map(({ final }) => final))
  const goesTo = new Map(treeOf(problem).map(({ from, to }) => [from, to]))
  return order.toReversed().every((step) => {
    if (waited.has(goesTo.get(step) ?? never)) waited.add(step)
    return waited.has(step)
  })
}
/** The last minute in which anything may be worked where each piece ends by `ends`. */
export function lastMinute(problem: WorkshopProblem, earliest: Earliest, ends: readonly number[]): number {
  return isWaitedFor(problem, earliest) ? Math.max(0, ...ends) : problem.horizon
}
/** By piece: the last minute in which it may end without costing more than so much itself; no sooner than it can. */
export function lastMinutes(problem: WorkshopProblem, { end }: Earliest, most: readonly number[]): number[] {
  const { pieces, horizon } = problem
  return pieces.map(({ final }, piece) => {
    let [low, high] = [end[final] ?? 0, horizon]
    while (low < high) {
      const middle = Math.ceil((low + high) / 2)
      if (costOfEnd(problem, piece, middle) <= (most[piece] ?? 0)) low = middle
      else high = middle - 1
    }
    return low
  })
}
/** By piece: what it may cost without the week costing more than a limit, all others at their earliest. */
export function mostOfEach(problem: WorkshopProblem, { end }: Earliest, limit: number): number[] {
  const least = problem.pieces.map(({ final }, piece) => costOfEnd(problem, piece, end[final] ?? 0))
  const all = least.reduce((sum, each) => sum + each, 0)
  return least.map((each) => limit - all + each)
}

/** Waits of which none begin in the same step: where several do, the one within its piece, and the longest; and all from the first moment. */
export function treeOf({ steps, lags }: WorkshopProblem): Lag[] {
  const kept = new Map<number, Lag>()
  const isOwn = ({ from, to }: Lag) => from !== null && steps[from]?.piece === steps[to]?.piece
  for (const lag of lags) {
    if (lag.from === null) continue
    const other = kept.get(lag.from)
    if (!other || Number(isOwn(lag)) > Number(isOwn(other)) || (isOwn(lag) === isOwn(other) && lag.min > other.min))
      kept.set(lag.from, lag)
  }
  return [...lags.filter(({ from }) => from === null), ...kept.values()]
}
