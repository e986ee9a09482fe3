/**
 * Going on from a week in force: every chain stays where it was, if it can, and the row decides who gives way. Chains that hold back what is
 * dear are let go, so that they come as early as they may; what need not have been let go is held again. What is moved has its price. Pure.
 */
import type { WorkshopSchedule } from './problem'
import { RowMoves } from './rowMoves'
import type { Search } from './search'
import { ChainSequence } from './sequence'
import { WhyLate } from './whyLate'

/** Heat at the beginning and at the end, as shares of the cost. */
const [hot, cold] = [0.02, 0.0005]
/** How often chains are let go, or held again; else the row is changed. How often it is changed as well. */
const share = { go: 0.35, hold: 0.2, both: 0.5 }
/** Chains that begin within so long of each other are let go together. */
const spans = [60, 240, 1440]

interface Going {
  /** in the order in which its chains were begun */
  row: readonly number[]
  from: WorkshopSchedule
  until: number
}
/** The board is empty before and after. */
export function searchStaying(search: Search, { row: begin, from, until }: Going): void {
  const grain = search.fine
  const { layout, units } = grain
  const why = new WhyLate(search.problem, units, search.earliest, search.random)
  const moves = new RowMoves(grain, why, search.random)
  const sequence = new ChainSequence(layout)
  const unitOf = units.flatMap(({ chains }, unit) => chains.map(() => unit))
  const chainCount = unitOf.length
  const loose = new Uint8Array(chainCount)
  layout.stayAsIn(from)
  let row: readonly number[] = begin
  let worth = note(row, sequence.costOf(row))
  for (let k = 0; worth === Infinity && k < chainCount; k += 1) {
    // where not even that can be laid, ever more is let go
    set([k], 1)
    worth = note(row, sequence.costOf(row))
  }
  const since = search.spent()
  for (let over = since; worth < Infinity && over < until; over = search.spent()) {
    const kind = search.random()
    const changed = kind < share.go ? letGo() : kind < share.go + share.hold ? heldAgain() : []
    const next = changed.length === 0 || search.random() < share.both ? moves.next(row) : row
    const to = kind < share.go ? 1 : 0
    set(changed, to)
    const limit = search.limit(worth, hot, cold, (over - since) / Math.max(1e-9, until - since))
    const cost = sequence.costOf(next, limit)
    if (cost < Infinity && cost + search.stirOf(layout) <= limit) {
      row = next
      worth = note(row, cost)
    } else set(changed, to === 1 ? 0 : 1)
  }
  sequence.clear()
  layout.stayAsIn(null)

  /** Takes note of what lies; answers with what it costs with what is moved. */
  function note(laid: readonly number[], cost: number): number {
    if (cost === Infinity) return Infinity
    const stir = search.stirOf(layout)
    why.note(laid, layout)
    search.better(cost, { stir, layout })
    return cost + stir
  }
  /** Nothing that lies was laid by what holds now. */
  function set(chains: readonly number[], to: 0 | 1): void {
    if (chains.length === 0) return
    const changed = new Set(chains)
    sequence.forget((unit, nth) => changed.has(why.chainOf(unit, nth)))
    for (const chain of chains) {
      loose[chain] = to
      layout.setStay(chain, to === 1 ? null : from)
    }
  }
  /** Chains that stay and may come sooner: what a dear piece waits for, all that is left of one, or all of some hours. */
  function letGo(): number[] {
    const kind = search.random()
    const stays = (chain: number) => loose[chain] === 0
    if (kind < 0.4) {
      const blocked = why.pick()
      return blocked ? chainsFrom(blocked.late).filter(stays) : []
    }
    if (kind < 0.7) {
      const piece = why.pickPiece()
      const after = why.startOf(Math.floor(search.random() * chainCount))
      return all((chain, unit) => units[unit]?.piece === piece && why.startOf(chain) >= after && stays(chain))
    }
    const middle = why.startOf(Math.floor(search.random() * chainCount))
    const span = search.pick(spans)
    return all((chain) => Math.abs(why.startOf(chain) - middle) <= span && stays(chain))
  }
  /** Of what was let go: one chain, a part, a piece. */
  function heldAgain(): number[] {
    const gone = all((chain) => loose[chain] === 1)
    if (gone.length === 0) return []
    const one = search.pick(gone)
    const kind = search.random()
    if (kind < 0.4) return [one]
    const own = unitOf[one] ?? 0
    const piece = units[own]?.piece
    return all((chain, unit) => loose[chain] === 1 && (kind < 0.7 ? unit === own : units[unit]?.piece === piece))
  }
  /** What stands at a place of the row, and all of its part that follows. */
  function chainsFrom(place: number): number[] {
    const unit = row[place] ?? 0
    const nth = row.slice(0, place).filter((other) => other === unit).length
    return (units[unit]?.chains ?? []).flatMap((_, k) => (k >= nth ? [why.chainOf(unit, k)] : []))
  }
  function all(wanted: (chain: number, unit: number) => boolean): number[] {
    return [...unitOf.keys()].filter((chain) => wanted(chain, unitOf[chain] ?? 0))
  }
}
