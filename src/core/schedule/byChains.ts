/**
 * Weeks by the row in which chains are laid: parts are worked among each other, step by step. A race: many short searches, each begun with a
 * row by dates of its own, half of them with long chains, half with fine ones; a third of them goes on, cooler, and a third of those. Where
 * drying places may be too few half of them lay rows as if there were enough, at a price that rises as the race goes on. Pure.
 */
import { searchDates } from './byDates'
import { RowMoves } from './rowMoves'
import type { Grain, Search } from './search'
import { ChainSequence } from './sequence'
import { WhyLate } from './whyLate'

/** Heat at the beginning and at the end, as shares of the cost. */
const [hot, cold] = [0.02, 0.0005]
/** Short searches: so many in a second, or in so many rounds, the more the longer it lasts. */
const starts = { inSecond: 24, second: 1000, rounds: 6000, least: 4, most: 81 }
/** What they have of the time, and the dates of theirs; how hot they end, and the rest begins; one of so many goes on, down to the last. */
const race = { first: 0.35, dates: 0.6, ends: 0.5, begins: 0.7, of: 3, last: 2 }

/** What a minute without a drying place costs at the beginning, as a share of a minute about, and at the end, as one of a minute late. */
const wanting = { first: 0.5, last: 1 }
const leastPrice = 1e-3

interface Found {
  cooling: Cooling
  row: readonly number[]
  cost: number
}
const between = (from: number, until: number, share: number) => from + (until - from) * share

/** The board is empty before and after. */
export function searchChains(search: Search, from: number, until: number): void {
  const { options } = search
  const time = 'rounds' in options ? options.rounds / starts.rounds : options.budgetMs / starts.second
  const many = Math.min(starts.most, Math.max(starts.least, Math.round(starts.inSecond * Math.sqrt(time))))
  const begun = between(from, until, race.first)
  const price = (share: number) => {
    const { flow, tardy } = search.problem.cost
    const first = Math.max(leastPrice, wanting.first * flow)
    const last = Math.max(first, wanting.last * tardy)
    return first * (last / first) ** ((share - from) / Math.max(1e-9, until - from))
  }
  let field = beginRace(search, many, { from, until: begun, price })
  const rungs: number[] = []
  for (let left = many / race.of; ; left /= race.of) {
    rungs.push(Math.max(race.last, Math.round(left)))
    if (left <= race.last) break
  }
  const heat = (rung: number) => race.begins * hot * (cold / (race.begins * hot)) ** (rung / rungs.length)
  rungs.forEach((left, rung) => {
    const runners = fastest(field, left)
    const at = (k: number) => between(begun, until, (rung + k / runners.length) / rungs.length)
    field = runners.map(({ cooling, row, cost }, k) => {
      const found = cooling.cool(row, { from: at(k), until: at(k + 1), hot: heat(rung), cold: heat(rung + 1), price })
      return found.cost < cost ? { cooling, ...found } : { cooling, row, cost }
    })
  })
}

function beginRace(search: Search, many: number, { from, until, price }: Omit<Course, 'hot' | 'cold'>): Found[] {
  const grains = search.grains.map((grain) => new Cooling(search, grain))
  return Array.from({ length: many }, (_, k) => k).flatMap((k): Found[] => {
    const cooling = grains[k % grains.length]
    if (!cooling) return []
    const [since, end] = [between(from, until, k / many), between(from, until, (k + 1) / many)]
    const begin = between(since, end, race.dates)
    const row = searchDates(search, cooling.grain, since, begin)
    return [{ cooling, ...cooling.cool(row, { from: begin, until: end, hot, cold: race.ends * hot, price }) }]
  })
}
/** The cheapest so many; of those that cost the same, one. */
function fastest(field: readonly Found[], many: number): Found[] {
  const byCost = new Map([...field].reverse().map((found) => [found.cost, found]))
  return [...byCost.values()].sort((one, other) => one.cost - other.cost).slice(0, many)
}

/** What is cooled from one heat to another, in which part of the time. */
interface Course {
  from: number
  until: number
  hot: number
  cold: number
  /** what a minute without a drying place costs, by the share of the time that is over */
  price: (share: number) => number
}

class Cooling {
  private readonly why: WhyLate
  private readonly moves: RowMoves
  private readonly sequence: ChainSequence

  constructor(
    private readonly search: Search,
    readonly grain: Grain,
  ) {
    this.why = new WhyLate(search.problem, grain.units, search.earliest, search.random)
    this.moves = new RowMoves(grain, this.why, search.random)
    this.sequence = new ChainSequence(grain.layout, { keeps: true })
  }

  /** The best row that comes of one; `cost` with what is moved in it, where a week is gone on from, and what has no place. */
  cool(begin: readonly number[], { from, until, hot, cold, price }: Course): { row: readonly number[]; cost: number } {
    const { search, sequence, why, moves } = this
    const { layout } = this.grain
    const last = price(until)
    let row = begin
    let cost = sequence.costOf(row)
    if (cost < Infinity) this.take(row)
    let over = layout.overfull
    let best = { row, cost: cost + last * over }
    for (let share = search.spent(); cost < Infinity && share < until; share = search.spent()) {
      const next = moves.next(row)
      const now = price(share)
      const limit = search.limit(cost + now * over, hot, cold, (share - from) / Math.max(1e-9, until - from))
      const found = sequence.costOf(next, limit, { row, start: why.start, by: why.by, cost })
      if (found === Infinity) continue
      if (sequence.isKnown) {
        row = next
        why.noteRow(row)
        sequence.keep()
        continue
      }
      const wants = layout.overfull
      if (found + now * wants > limit) continue
      row = next
      cost = found
      over = wants
      this.take(row)
      if (cost + last * over < best.cost) best = { row, cost: cost + last * over }
    }
    sequence.clear()
    return best
  }
  /** Takes note of what lies. */
  private take(row: readonly number[]): void {
    const { layout } = this.grain
    this.sequence.keep()
    this.why.note(row, layout)
    this.search.better(layout)
  }
}
