/**
 * Weeks by the row in which chains are laid: parts are worked among each other, step by step. Several short searches, each begun with a
 * row by dates of its own, half of them with long chains, half with fine ones; the two best go on cooler. Pure.
 */
import { searchDates } from './byDates'
import type { RowInForce } from './goOn'
import { RowMoves } from './rowMoves'
import type { Grain, Search } from './search'
import { ChainSequence } from './sequence'
import { WhyLate } from './whyLate'

/** Heat at the beginning, where a short search ends, and at the end, as shares of the cost. */
const [hot, warm, cold] = [0.02, 0.004, 0.0005]
/** What short searches have of the time; what the dates have of each. */
const [shortShare, datesShare] = [0.7, 0.3]
/** Short searches: so many in a second, or in so many rounds, the more the longer it lasts; and how many of them go on. */
const starts = { inSecond: 10, second: 1000, rounds: 6000, least: 2, most: 30, goOn: 2 }

interface Found {
  cooling: Cooling
  row: readonly number[]
  cost: number
}

/** The board is empty before and after. */
export function searchChains(search: Search, from: number, until: number): void {
  const { options } = search
  const grains = [new Cooling(search, search), new Cooling(search, search.fine)]
  const at = (a: number, b: number, share: number) => a + (b - a) * share
  const time = 'rounds' in options ? options.rounds / starts.rounds : options.budgetMs / starts.second
  const many = Math.min(starts.most, Math.max(starts.least, Math.round(starts.inSecond * Math.sqrt(time))))
  const shortly = at(from, until, shortShare)
  const found: Found[] = []
  for (let k = 0; k < many; k += 1) {
    const [since, end] = [at(from, shortly, k / many), at(from, shortly, (k + 1) / many)]
    const begin = at(since, end, datesShare)
    const cooling = grains[k % grains.length]
    if (!cooling) continue
    const row = searchDates(search, cooling.grain, since, begin)
    found.push({ cooling, ...cooling.cool(row, { from: begin, until: end, hot, cold: warm }) })
  }
  const goOn = found.sort((one, other) => one.cost - other.cost).slice(0, starts.goOn)
  goOn.forEach(({ cooling, row }, k) => {
    const part = (share: number) => at(shortly, until, share / goOn.length)
    cooling.cool(row, { from: part(k), until: part(k + 1), hot: warm, cold })
  })
}

/** What is cooled from one heat to another, in which part of the time. */
interface Course {
  from: number
  until: number
  hot: number
  cold: number
}

/** A row that is gone on from, cooled from where it is. The board is empty before and after. */
export function searchFromRow(search: Search, { grain, row }: RowInForce, from: number, until: number): void {
  new Cooling(search, grain).cool(row, { from, until, hot: warm, cold })
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
    this.moves = new RowMoves(grain.units, this.why, search.random)
    this.sequence = new ChainSequence(grain.layout)
  }

  /** The best row that comes of one; `cost` with what is moved in it, where a week is gone on from. */
  cool(begin: readonly number[], { from, until, hot, cold }: Course): { row: readonly number[]; cost: number } {
    const { search, sequence, why, moves } = this
    const { layout } = this.grain
    let row = begin
    let cost = sequence.costOf(row)
    let stir = cost < Infinity ? this.take(row) : 0
    let best = { row, cost: cost + stir }
    for (let share = search.spent(); cost < Infinity && share < until; share = search.spent()) {
      const next = moves.next(row)
      const limit = search.limit(cost + stir, hot, cold, (share - from) / Math.max(1e-9, until - from))
      const found = sequence.costOf(next, limit, { row, start: why.start, by: why.by, cost })
      if (found === Infinity) continue
      if (sequence.isKnown) {
        row = next
        why.noteRow(row)
        continue
      }
      const moved = search.stirOf(layout)
      if (found + moved > limit) continue
      row = next
      cost = found
      stir = this.take(row)
      if (cost + stir < best.cost) best = { row, cost: cost + stir }
    }
    sequence.clear()
    return best
  }
  /** Takes note of what lies; answers with what it costs that steps are moved in it. */
  private take(row: readonly number[]): number {
    const { layout } = this.grain
    const stir = this.search.stirOf(layout)
    this.why.note(row, layout)
    this.search.better(layout.cost, { stir, layout })
    return stir
  }
}
