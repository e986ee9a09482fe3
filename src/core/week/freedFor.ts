/** What must be taken up for a step to have its place to dry. Pure. */
import type { Lag, WorkshopProblem } from '@/core/schedule/problem'

/**
 * The step that takes up what lay in the place that a step, or what follows it within a window, dries at, where all places were taken until just
 * then; null where one was free before. `start` and `end` by step.
 */
export function freedFor(
  { lags, pools, grid }: Pick<WorkshopProblem, 'lags' | 'pools' | 'grid'>,
  { start, end }: { start: readonly number[]; end: readonly number[] },
  step: number,
): number | null {
  const since = ({ from }: Lag) => (from === null ? 0 : (end[from] ?? 0))
  const until = ({ to }: Lag) => start[to] ?? 0
  const stays = lags.filter(({ rack }) => rack)
  for (let at: number | undefined = step; at !== undefined; at = lags.find(({ from, max }) => from === at && max !== null)?.to) {
    const own = stays.find(({ from }) => from === at)
    if (!own) continue
    const begins = since(own)
    const all = [
      { places: pools.rack, within: stays },
      ...(own.room === undefined
        ? []
        : [{ places: pools.rooms?.[own.room] ?? Infinity, within: stays.filter(({ room }) => room === own.room) }]),
    ]
    for (const { places, within } of all) {
      const before = within.filter((lag) => since(lag) < begins && until(lag) >= begins)
      const freed = before.find((lag) => until(lag) < begins + grid)
      if (before.length >= places && freed) return freed.to
    }
  }
  return null
}
