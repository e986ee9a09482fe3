/** What is kept of a week where everything is for hire: trees of waits, and how late each piece may end. Minutes; pure. */
import { costOfEnd, type Earliest } from './bound'
import type { Lag, WorkshopProblem } from './problem'

/**
 * By step: the last minute at which it may end without the week costing more than a limit, all pieces but its own at their earliest. What no
 * piece waits for has until the horizon.
 */
export function latestEnds(problem: WorkshopProblem, earliest: Earliest, limit: number): number[] {
  const { pieces, steps, lags, horizon } = problem
  const ends = latestOfPieces(problem, earliest, limit)
  const latest = steps.map(() => horizon)
  pieces.forEach(({ final }, piece) => (latest[final] = ends[piece] ?? horizon))
  const into = steps.map((): number[] => [])
  for (const { from, to } of lags) if (from !== null) into[to]?.push(from)
  for (const step of earliest.order.toReversed())
    for (const from of into[step] ?? []) latest[from] = Math.min(latest[from] ?? horizon, latest[step] ?? horizon)
  return latest
}
function latestOfPieces(problem: WorkshopProblem, { end }: Earliest, limit: number): number[] {
  const { pieces, horizon } = problem
  const least = pieces.map(({ final }, piece) => costOfEnd(problem, piece, end[final] ?? 0))
  const all = least.reduce((sum, each) => sum + each, 0)
  return pieces.map(({ final }, piece) => {
    const most = limit - all + (least[piece] ?? 0)
    let [low, high] = [end[final] ?? 0, horizon]
    while (low < high) {
      const middle = Math.ceil((low + high) / 2)
      if (costOfEnd(problem, piece, middle) <= most) low = middle
      else high = middle - 1
    }
    return low
  })
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
