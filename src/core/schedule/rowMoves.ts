/** What may be tried with a row of chains: one of them elsewhere, one before what it waits for, a piece sooner or later altogether. Pure. */
import type { Grain } from './search'
import type { WhyLate } from './whyLate'

/** How often each kind is tried, else one chain is moved by chance; how many of those shifted are by the date of their piece. */
const share = { shifted: 0.4, led: 0.3, dated: 0.6 }
/** By so much another date is earlier or later at most; mostly earlier, and mostly by little. */
const far = 2 * 1440
type Row = readonly number[]

export class RowMoves {
  constructor(
    private readonly grain: Pick<Grain, 'units' | 'latest'>,
    private readonly why: WhyLate,
    private readonly random: () => number,
  ) {}

  next(row: Row): number[] {
    const kind = this.random()
    if (kind < share.shifted) return this.random() < share.dated ? this.dated(row) : this.shifted(row)
    return (kind < share.shifted + share.led ? this.led(row) : null) ?? this.moved(row)
  }

  /** A piece: every other time one that costs much. */
  private pickPiece(row: Row): number {
    const at = Math.floor(this.random() * row.length)
    return this.random() < 0.5 ? this.why.pickPiece() : (this.grain.units[row[at] ?? 0]?.piece ?? 0)
  }
  /** One piece earlier or later; every other time another makes room for it, or takes it, to when it is due or by as much by chance. */
  private otherDates(row: Row, piece: number): Map<number, number> {
    const way = this.random() < 0.65 ? -1 : 1
    const by = () => far * this.random() ** 2
    const dates = new Map([[piece, this.why.endOfPiece(piece) + way * by()]])
    if (this.random() < 0.5) return dates
    const other = this.grain.units[row[Math.floor(this.random() * row.length)] ?? 0]?.piece ?? 0
    const due = this.why.dueOf(other)
    if (other !== piece) dates.set(other, this.random() < 0.5 ? due : this.why.endOfPiece(other) - way * by())
    return dates
  }
  /** Pieces as they would be worked towards other dates, among all else as it stands. */
  dated(row: Row, piece = this.pickPiece(row)): number[] {
    const { units, latest } = this.grain
    const dates = this.otherDates(row, piece)
    const nth = new Int32Array(units.length)
    const [others, starts]: [number[], number[]] = [[], []]
    const own: { unit: number; at: number }[] = []
    for (const unit of row) {
      const chain = this.why.chainOf(unit, nth[unit] ?? 0)
      nth[unit] = (nth[unit] ?? 0) + 1
      const date = dates.get(units[unit]?.piece ?? 0)
      if (date !== undefined) own.push({ unit, at: latest.of(chain, date) })
      else {
        others.push(unit)
        starts.push(this.why.startOf(chain))
      }
    }
    const inOrder = Int32Array.from(starts).sort()
    own.sort((a, b) => a.at - b.at)
    const next: number[] = []
    let passed = 0
    for (const { unit, at } of own) {
      while (passed < inOrder.length && (inOrder[passed] ?? 0) < at) next.push(others[passed++] ?? 0)
      next.push(unit)
    }
    return [...next, ...others.slice(passed)]
  }
  /** A piece, or a part of it, earlier or later altogether, or from somewhere on. */
  private shifted(row: Row): number[] {
    const piece = this.pickPiece(row)
    const only = this.random() < 0.3 ? row[Math.floor(this.random() * row.length)] : null
    const by = (this.random() < 0.6 ? -1 : 1) * (1 + this.random() ** 2 * row.length * 0.6)
    const from = this.random() < 0.5 ? 0 : this.random() * row.length
    const isHis = (unit: number) => (only === null ? this.grain.units[unit]?.piece === piece : unit === only)
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
