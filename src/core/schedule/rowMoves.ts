/** What may be tried with a row of chains: one of them elsewhere, one before what it waits for, a piece sooner or later altogether. Pure. */
import type { Unit } from './units'
import type { WhyLate } from './whyLate'

/** How often each kind is tried; else one chain is moved by chance. */
const share = { shifted: 0.3, led: 0.45 }
type Row = readonly number[]

export class RowMoves {
  constructor(
    private readonly units: readonly Unit[],
    private readonly why: WhyLate,
    private readonly random: () => number,
  ) {}

  next(row: Row): number[] {
    const kind = this.random()
    if (kind < share.shifted) return this.shifted(row)
    return (kind < share.shifted + share.led ? this.led(row) : null) ?? this.moved(row)
  }

  /** A piece, or a part of it, earlier or later altogether, or from somewhere on. */
  private shifted(row: Row): number[] {
    const at = Math.floor(this.random() * row.length)
    const piece = this.random() < 0.5 ? this.why.pickPiece() : (this.units[row[at] ?? 0]?.piece ?? 0)
    const only = this.random() < 0.3 ? row[at] : null
    const by = (this.random() < 0.6 ? -1 : 1) * (1 + this.random() ** 2 * row.length * 0.6)
    const from = this.random() < 0.5 ? 0 : this.random() * row.length
    const isHis = (unit: number) => (only === null ? this.units[unit]?.piece === piece : unit === only)
    const key = row.map((unit, k) => (k >= from && isHis(unit) ? k + by : k))
    return row
      .map((_, k) => k)
      .sort((a, b) => (key[a] ?? 0) - (key[b] ?? 0))
      .map((k) => row[k] ?? 0)
  }

  /** What holds a dear piece back comes after it. */
  private led(row: Row): number[] | null {
    const blocked = this.why.pick()
    if (!blocked) return null
    const next = [...row]
    const { late, early } = blocked
    if (this.random() < 0.7) next.splice(early, 0, ...next.splice(late, 1))
    else next.splice(late, 0, ...next.splice(early, 1))
    return next
  }

  /** One chain earlier or later, or all that follows of its part with it. */
  private moved(row: Row): number[] {
    const next = [...row]
    const at = Math.floor(this.random() * next.length)
    const chance = this.random()
    const reach = chance < 0.5 ? 4 : chance < 0.85 ? 14 : next.length
    const to = Math.max(0, Math.min(next.length - 1, at + Math.round((this.random() - 0.5) * 2 * reach)))
    const [taken] = next.splice(at, 1)
    if (taken === undefined) return next
    next.splice(to, 0, taken)
    if (this.random() < 0.7 || to > at) return next
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
