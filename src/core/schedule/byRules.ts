/** A first week by rules of thumb: pieces by when they are due, how dear and how long they are, each part of them worked from first to last. Pure. */
import type { Search } from './search'
import { ChainSequence } from './sequence'

const dayMinutes = 1440

/** Answers with the step that no rule had a place for, where none could be laid. */
export function searchRules(search: Search): number | null {
  const { problem, earliest, coarse } = search
  const { units, layout } = coarse
  const sequence = new ChainSequence(layout)
  const ends = problem.pieces.map(({ final }) => earliest.end[final] ?? 0)
  const rules = [
    problem.pieces.map(({ due }) => due),
    ends,
    problem.pieces.map(({ due, weight }) => due - (weight * dayMinutes) / 2),
    problem.pieces.map(({ weight }, k) => (ends[k] ?? 0) / weight),
    problem.pieces.map(({ due }, k) => (due + (ends[k] ?? 0)) / 2),
  ]
  let failed: number | null = null
  for (const dates of rules) {
    // parts by their latest start towards the dates of their pieces
    const latest = units.map(({ piece, tail }) => (dates[piece] ?? 0) - tail)
    const order = [...units.keys()].sort((a, b) => (latest[a] ?? 0) - (latest[b] ?? 0) || a - b)
    const cost = sequence.costOf(order.flatMap((unit) => units[unit]?.chains.map(() => unit) ?? []))
    search.spent()
    if (cost < Infinity) search.better(layout)
    else failed ??= sequence.failed
  }
  sequence.clear()
  return search.best ? null : failed
}
