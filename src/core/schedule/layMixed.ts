/** Lays several units chain by chain among each other. Pure. */
import type { Layout } from './lay'

/** A unit that may go on. */
export interface OpenUnit {
  unit: number
  piece: number
  /** minutes from its next chain to the end of its piece */
  tail: number
}

interface Mix {
  /** which of those that may go on does */
  next: (open: readonly OpenUnit[]) => number
  /** minutes that its chain is begun later than it could */
  later: () => number
  /** dearer than this it is given up */
  limit: number
}

/**
 * Whichever `next` picks of those that have chains left and wait for nothing; all of them, or, where one has no place or no drying place is
 * free, none.
 */
export function layMixed(layout: Layout, units: readonly number[], { next, later, limit }: Mix): boolean {
  const laid: number[] = []
  for (;;) {
    const open: OpenUnit[] = []
    for (const unit of units) {
      const facts = layout.units[unit]
      const chain = facts?.chains[layout.chainsLaid[unit] ?? 0]
      if (chain && (layout.chainsLaid[unit] !== 0 || layout.mayBegin(unit)))
        open.push({ unit, piece: facts?.piece ?? 0, tail: chain.tail })
    }
    if (open.length === 0) return true
    const unit = next(open)
    if (layout.layChainOf(unit, later()) && laid.push(unit) && layout.cost <= limit) continue
    for (const each of laid.reverse()) layout.takeChainOf(each)
    return false
  }
}
