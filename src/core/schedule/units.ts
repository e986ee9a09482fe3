/**
 * What is laid in one go: the steps of one part, in chains whose links have a most. A part is laid from its first step to its last, so
 * that the drying place it holds is given back. Pure.
 */
import { orderOf } from './bound'
import type { Lag, WorkshopProblem } from './problem'

/** Steps that follow each other within windows: placed together, for the earliest place of the first is often the wrong one. */
export interface Chain {
  steps: readonly number[]
  /** from each step to the one after it */
  links: readonly Lag[]
  /** minutes of the longest path from its first step to the end of its piece */
  tail: number
  /** waits that have a most and end in it, by index */
  windows: readonly number[]
  /** the first of its steps after which a place is wanted; null where there is none */
  opens: number | null
}
export interface Unit {
  piece: number
  steps: readonly number[]
  chains: readonly Chain[]
  /** units that it waits for */
  after: readonly number[]
  /** minutes of its longest path and of what follows it, to the end of its piece */
  tail: number
}

interface ChainFacts {
  /** into the part's steps */
  lags: readonly Lag[]
  indexOf: ReadonlyMap<Lag, number>
  tail: Float64Array
  widest: number
}
function chainsOf(steps: readonly number[], { lags, indexOf, tail, widest }: ChainFacts): Chain[] {
  const own = new Set(steps)
  const next = new Map<number, Lag>()
  const linked = new Set<number>()
  for (const lag of lags) {
    if (lag.from === null || lag.max === null || !own.has(lag.from) || !own.has(lag.to)) continue
    if (!lag.hard && lag.max - lag.min > widest) continue
    if (next.has(lag.from) || linked.has(lag.to)) continue
    next.set(lag.from, lag)
    linked.add(lag.to)
  }
  return steps
    .filter((step) => !linked.has(step))
    .map((first) => {
      const [chain, links]: [number[], Lag[]] = [[first], []]
      for (let link = next.get(first); link; link = next.get(link.to)) {
        chain.push(link.to)
        links.push(link)
      }
      const drying = lags.filter(({ rack, from }) => rack && from !== null && chain.includes(from))
      return {
        steps: chain,
        links,
        tail: tail[first] ?? 0,
        windows: lags.flatMap((lag) => (lag.max !== null && chain.includes(lag.to) ? [indexOf.get(lag) ?? 0] : [])),
        opens: chain.find((step) => drying.some(({ from: after }) => after === step)) ?? null,
      }
    })
}

/** By step: minutes of the longest path from its start to the end of its piece. */
export function tailsOf(problem: WorkshopProblem): Float64Array {
  const { steps, lags } = problem
  const tail = new Float64Array(steps.length)
  const out = steps.map((): Lag[] => [])
  for (const lag of lags) if (lag.from !== null) out[lag.from]?.push(lag)
  for (const step of orderOf(problem).reverse())
    tail[step] =
      (steps[step]?.dur ?? 0) + (out[step] ?? []).reduce((most, { to, min }) => Math.max(most, min + (tail[to] ?? 0)), 0)
  return tail
}

/** `widest`: what may be missed and is open longer than this beyond its least links no chain. */
export function unitsOf(problem: WorkshopProblem, widest = Infinity): Unit[] {
  const { steps, lags, pieces } = problem
  const order = orderOf(problem)
  const keyOf = (step: number) => `${steps[step]?.piece} ${steps[step]?.part}`
  const groups = new Map<string, number[]>()
  for (const step of order) groups.set(keyOf(step), [...(groups.get(keyOf(step)) ?? []), step])
  const keys = [...groups.keys()]
  const indexOf = new Map(keys.map((key, k) => [key, k]))
  const tail = tailsOf(problem)
  const lagIndex = new Map(lags.map((lag, k) => [lag, k]))
  return keys.map((key): Unit => {
    const own = groups.get(key) ?? []
    const mine = new Set(own)
    const into = lags.filter(({ to }) => mine.has(to))
    const before = into.flatMap(({ from }) => (from === null || mine.has(from) ? [] : [indexOf.get(keyOf(from)) ?? 0]))
    return {
      piece: steps[own[0] ?? 0]?.piece ?? pieces.length,
      steps: own,
      chains: chainsOf(own, { lags: into, indexOf: lagIndex, tail, widest }),
      after: [...new Set(before)],
      tail: Math.max(...own.map((step) => tail[step] ?? 0)),
    }
  })
}
