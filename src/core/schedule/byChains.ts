/** Better weeks by the row in which chains are laid: parts are worked among each other, step by step. Pure. */
import type { Search } from './search'
import { ChainSequence } from './sequence'

const [hot, cold] = [0.05, 0.0005]

/** Goes on from the best week: its chains in the order in which they begin. The board is empty before and after. */
export function searchChains(search: Search, from: number, until: number): void {
  const { units, best } = search
  if (!best) return
  const sequence = new ChainSequence(search.layout)
  const begun = units.flatMap(({ chains }, unit) => chains.map(({ steps }) => ({ unit, at: best.start[steps[0] ?? 0] ?? 0 })))
  let row: number[] = begun.sort((a, b) => a.at - b.at).map(({ unit }) => unit)
  let cost = sequence.costOf(row)
  search.better(cost)
  for (let share = search.spent(); share < until; share = search.spent()) {
    const next = moved(row)
    const limit = search.limit(cost, hot, cold, (share - from) / Math.max(1e-9, until - from))
    const found = sequence.costOf(next, limit)
    if (found > limit || found === Infinity) continue
    ;[row, cost] = [next, found]
    search.better(found)
  }
  sequence.clear()

  /** One chain earlier or later, or all that follows of its part with it. */
  function moved(now: readonly number[]): number[] {
    const next = [...now]
    const at = Math.floor(search.random() * next.length)
    const chance = search.random()
    const reach = chance < 0.5 ? 4 : chance < 0.85 ? 14 : next.length
    const to = Math.max(0, Math.min(next.length - 1, at + Math.round((search.random() - 0.5) * 2 * reach)))
    const [taken] = next.splice(at, 1)
    if (taken === undefined) return next
    next.splice(to, 0, taken)
    if (search.random() < 0.7 || to > at) return next
    // what follows of the same part comes as much earlier
    const by = at - to
    for (let k = at + 1; k < next.length; k += 1) {
      if (next[k] !== taken) continue
      const [follower] = next.splice(k, 1)
      if (follower !== undefined) next.splice(Math.max(to + 1, k - by), 0, follower)
    }
    return next
  }
}
