/** What may be tried with a row of chains: one of them elsewhere, one before what it waits for, a piece sooner or later altogether. Pure. */
import type { Grain } from './search'
import type { WhyLate } from './whyLate'

/** How often each kind is tried, else one chain is moved by chance; how many of those shifted are by the date of their piece. */
const share = { shifted: 0.4, led: 0.3, dated: 0.6 }
/** By so much another date is earlier or later at most; mostly earlier, and mostly by little. */
const far = 2 * 1440
type Row = readonly number[]

export class RowMoves {
  /** by unit: how many of its chains were passed; the units of chains that are put elsewhere, and when each is wanted to begin */
  private readonly nth: Int32Array
  private readonly own: Int32Array
  private readonly at: Float64Array

  constructor(
    private readonly grain: Pick<Grain, 'units' | 'latest'>,
    private readonly why: WhyLate,
    private readonly random: () => number,
  ) {
    const { units } = grain
    const chains = units.reduce((sum, unit) => sum + unit.chains.length, 0)
    this.nth = new Int32Array(units.length)
    this.own = new Int32Array(chains)
    this.at = new Float64Array(chains)
  }

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
    const { why, own, at } = this
    const { units, latest } = this.grain
    const dates = this.otherDates(row, piece)
    const others: number[] = []
    this.nth.fill(0)
    let many = 0
    for (const unit of row) {
      const chain = why.chainOf(unit, this.nth[unit] ?? 0)
      this.nth[unit] = (this.nth[unit] ?? 0) + 1
      const date = dates.get(units[unit]?.piece ?? 0)
      if (date === undefined) others.push(unit)
      else insert(own, at, { many: many++, unit, at: latest.of(chain, date) })
    }
    // each before as many of the others as begin no sooner
    const next: number[] = []
    const { inOrder } = why
    let passed = 0
    for (let k = 0, seen = 0; k < many; k += 1) {
      for (; seen < inOrder.length; seen += 1) {
        const chain = inOrder[seen] ?? 0
        if (dates.has(why.pieceOf(chain))) continue
        if (why.startOf(chain) >= (at[k] ?? 0)) break
        next.push(others[passed++] ?? 0)
      }
      next.push(own[k] ?? 0)
    }
    while (passed < others.length) next.push(others[passed++] ?? 0)
    return next
  }
  /** A piece, or a part of it, earlier or later altogether, or from somewhere on. */
  private shifted(row: Row): number[] {
    const piece = this.pickPiece(row)
    const only = this.random() < 0.3 ? row[Math.floor(this.random() * row.length)] : null
    const by = (this.random() < 0.6 ? -1 : 1) * (1 + this.random() ** 2 * row.length * 0.6)
    const from = this.random() < 0.5 ? 0 : this.random() * row.length
    const isHis = (unit: number) => (only === null ? this.grain.units[unit]?.piece === piece : unit === only)
    const [next, his]: [number[], number[]] = [[], []]
    row.forEach((unit, k) => {
      if (k >= from && isHis(unit)) his.push(k)
    })
    let moved = 0
    const movedBefore = (k: number) => {
      for (; moved < his.length && (his[moved] ?? 0) + by < k; moved += 1) next.push(row[his[moved] ?? 0] ?? 0)
    }
    let nth = 0
    row.forEach((unit, k) => {
      if (his[nth] === k) {
        nth += 1
        return
      }
      movedBefore(k)
      next.push(unit)
    })
    movedBefore(Infinity)
    return next
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

/** Puts a unit among so many others by when it is wanted, after those that are wanted as soon. */
function insert(units: Int32Array, wanted: Float64Array, { many, unit, at }: { many: number; unit: number; at: number }): void {
  let k = many
  for (; k > 0 && (wanted[k - 1] ?? 0) > at; k -= 1) {
    units[k] = units[k - 1] ?? 0
    wanted[k] = wanted[k - 1] ?? 0
  }
  units[k] = unit
  wanted[k] = at
}
