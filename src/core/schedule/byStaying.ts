/**
 * Going on from a week in force: every chain stays where it was, if it can, and the row decides who gives way. Chains that hold back what is
 * dear are let go, so that they come as early as they may; what need not have been let go is held again. What is moved has its price. Several
 * short searches, from different rows; the cheapest goes on, cooler. Pure.
 */
import type { WorkshopSchedule } from './problem'
import type { RowLayout } from './rowLayout'
import { RowMoves } from './rowMoves'
import type { Grain, Search } from './search'
import { ChainSequence } from './sequence'
import { WhyLate } from './whyLate'

/** Heat at the beginning, when the cheapest goes on, and at the end, as shares of the cost. */
const heat = { hot: 0.02, warm: 0.004, cold: 0.0005 }
/** How often a piece is let go and worked towards another date, chains are let go, or held again; else the row is changed. How often it is changed as well. */
const share = { piece: 0.1, go: 0.25, hold: 0.2, both: 0.5 }
/** Chains that begin within so long of each other are let go together. */
const spans = [60, 240, 1440]
/** What the first searches have of the time, all together. */
const first = 0.55
/** Each of them has so many milliseconds at least, or there are fewer. */
const least = 30

interface Going {
  /** rows to begin with */
  rows: readonly (readonly number[])[]
  from: WorkshopSchedule
  until: number
}
interface Found {
  staying: Staying
  state: State
}
/** The board is empty before and after. */
export function searchStaying(search: Search, { rows, from, until }: Going): void {
  const { fine, grains } = search
  // where drying places are few, also as if there were enough: what lies in a full room is no row of it
  const roomy = grains.filter((grain) => grain !== fine && grain.units === fine.units)
  const all = rows.flatMap((row) => [fine, ...roomy].map((grain) => ({ row, grain })))
  const since = search.spent()
  // where there is little time one has all of it
  const starts = all.slice(0, Math.max(1, Math.floor(search.timeFor((until - since) * first) / least)))
  const each = ((until - since) * first) / Math.max(1, starts.length)
  const found = starts.map(({ row, grain }, k): Found => {
    const staying = new Staying(search, grain, from)
    const start = { row, loose: new Uint8Array(staying.chainCount), worth: Infinity }
    return { staying, state: staying.cool(start, { until: since + each * (k + 1), hot: heat.hot, cold: heat.warm }) }
  })
  const best = found.reduce<Found | null>((least, one) => (least && least.state.worth <= one.state.worth ? least : one), null)
  best?.staying.cool(best.state, { until, hot: heat.warm, cold: heat.cold })
}

/** A row, and which chains needn't stay. */
interface State {
  row: readonly number[]
  /** by chain: whether it is let go */
  loose: Uint8Array
  /** what it costs, with what is moved and what has no drying place */
  worth: number
}
interface Course {
  until: number
  hot: number
  cold: number
}
class Staying {
  readonly chainCount: number
  private readonly layout: RowLayout
  private readonly why: WhyLate
  private readonly moves: RowMoves
  private readonly sequence: ChainSequence
  private readonly unitOf: readonly number[]
  private loose: Uint8Array

  constructor(
    private readonly search: Search,
    private readonly grain: Grain,
    private readonly from: WorkshopSchedule,
  ) {
    const { units, layout } = grain
    this.layout = layout
    this.why = new WhyLate(search.problem, units, search.earliest, search.random)
    this.moves = new RowMoves(grain, this.why, search.random)
    this.sequence = new ChainSequence(layout)
    this.unitOf = units.flatMap(({ chains }, unit) => chains.map(() => unit))
    this.chainCount = this.unitOf.length
    this.loose = new Uint8Array(this.chainCount)
  }

  /** The best state that comes of one. */
  cool(begin: State, { until, hot, cold }: Course): State {
    const { search, layout, sequence } = this
    const price = search.problem.cost.tardy
    layout.stayAsIn(this.from)
    this.loose = Uint8Array.from(begin.loose)
    this.loose.forEach((isLoose, chain) => isLoose === 1 && layout.setStay(chain, null))
    let row = begin.row
    let worth = this.take(row, sequence.costOf(row))
    for (let k = 0; worth === Infinity && k < this.chainCount; k += 1) {
      // where not even that can be laid, ever more is let go
      this.set([k], 1)
      worth = this.take(row, sequence.costOf(row))
    }
    let laid = layout.worth
    let best: State = { row, loose: Uint8Array.from(this.loose), worth }
    const since = search.spent()
    for (let over = since; worth < Infinity && over < until; over = search.spent()) {
      const { changed, to, next } = this.tryNext(row)
      this.set(changed, to)
      const limit = search.limit(worth, hot, cold, (over - since) / Math.max(1e-9, until - since))
      // what is known of a row holds as long as nothing else was let go
      const known = changed.length === 0 ? { row, start: this.why.start, by: this.why.by, cost: laid } : undefined
      const cost = sequence.costOf(next, limit, known)
      if (sequence.isKnown) {
        row = next
        this.why.noteRow(row)
        continue
      }
      if (cost < Infinity && cost + price * layout.overfull <= limit) {
        row = next
        worth = this.take(row, cost)
        laid = cost
        if (worth < best.worth) best = { row, loose: Uint8Array.from(this.loose), worth }
      } else this.set(changed, to === 1 ? 0 : 1)
    }
    sequence.clear()
    layout.stayAsIn(null)
    return best
  }

  /** Another row, and which chains are let go for it (1), or held again (0). */
  private tryNext(row: readonly number[]): { changed: readonly number[]; to: 0 | 1; next: readonly number[] } {
    const { search, moves } = this
    let kind = search.random()
    if (kind < share.piece) {
      const piece = this.pickPiece()
      return { changed: this.ofPiece(piece), to: 1, next: moves.dated(row, piece) }
    }
    kind -= share.piece
    const to = kind < share.go ? 1 : 0
    const changed = to === 1 ? this.letGo(row) : kind < share.go + share.hold ? this.heldAgain() : []
    return { changed, to, next: changed.length === 0 || search.random() < share.both ? moves.next(row) : row }
  }
  /** Takes note of what lies; answers with what it costs, and what has no place in it. */
  private take(row: readonly number[], cost: number): number {
    const { layout, search } = this
    if (cost === Infinity) return Infinity
    this.why.note(row, layout)
    search.better(layout)
    return cost + search.problem.cost.tardy * layout.overfull
  }
  /** Nothing that lies was laid by what holds now. */
  private set(chains: readonly number[], to: 0 | 1): void {
    if (chains.length === 0) return
    const changed = new Set(chains)
    this.sequence.forget((unit, nth) => changed.has(this.why.chainOf(unit, nth)))
    for (const chain of chains) {
      this.loose[chain] = to
      this.layout.setStay(chain, to === 1 ? null : this.from)
    }
  }
  private pickPiece(): number {
    const { search } = this
    return search.random() < 0.5 ? this.why.pickPiece() : (this.grain.units[search.pick(this.unitOf)]?.piece ?? 0)
  }
  /** All chains of a piece from some time on that stay. */
  private ofPiece(piece: number): number[] {
    const at = this.search.random() < 0.5 ? 0 : this.why.startOf(Math.floor(this.search.random() * this.chainCount))
    return this.all(
      (chain, unit) => this.grain.units[unit]?.piece === piece && this.why.startOf(chain) >= at && this.loose[chain] === 0,
    )
  }
  /** Chains that stay and may come sooner: what a dear piece waits for, all that is left of one, or all of some hours. */
  private letGo(row: readonly number[]): number[] {
    const { search, why } = this
    const kind = search.random()
    const stays = (chain: number) => this.loose[chain] === 0
    if (kind < 0.4) {
      const blocked = why.pick()
      return blocked ? this.chainsFrom(row, blocked.late).filter(stays) : []
    }
    const at = why.startOf(Math.floor(search.random() * this.chainCount))
    if (kind < 0.7) {
      const piece = why.pickPiece()
      return this.all((chain, unit) => this.grain.units[unit]?.piece === piece && why.startOf(chain) >= at && stays(chain))
    }
    const span = search.pick(spans)
    return this.all((chain) => Math.abs(why.startOf(chain) - at) <= span && stays(chain))
  }
  /** Of what was let go: one chain, a part, a piece. */
  private heldAgain(): number[] {
    const { search } = this
    const gone = this.all((chain) => this.loose[chain] === 1)
    if (gone.length === 0) return []
    const one = search.pick(gone)
    const kind = search.random()
    if (kind < 0.4) return [one]
    const { units } = this.grain
    const own = this.unitOf[one] ?? 0
    const piece = units[own]?.piece
    return this.all((chain, unit) => this.loose[chain] === 1 && (kind < 0.7 ? unit === own : units[unit]?.piece === piece))
  }
  /** What stands at a place of the row, and all of its part that follows. */
  private chainsFrom(row: readonly number[], place: number): number[] {
    const unit = row[place] ?? 0
    const nth = row.slice(0, place).filter((other) => other === unit).length
    return (this.grain.units[unit]?.chains ?? []).flatMap((_, k) => (k >= nth ? [this.why.chainOf(unit, k)] : []))
  }
  private all(wanted: (chain: number, unit: number) => boolean): number[] {
    return [...this.unitOf.keys()].filter((chain) => wanted(chain, this.unitOf[chain] ?? 0))
  }
}
