/**
 * Rows of chains by the dates that pieces are worked towards: each chain by its latest start. The dates are shaken and cooled, so are what
 * single parts are earlier or later by, and how much longer than by itself everything takes in a full workshop. Pure.
 */
import { never } from './calendar'
import { putInOrder } from './inOrder'
import type { Grain, Search } from './search'
import { ChainSequence } from './sequence'

const dayMinutes = 1440
/** By so much a date is moved at first, and a part against its piece. */
const [far, partly] = [5 * dayMinutes, 3 * dayMinutes]
/** Before any date. */
const begun = 1e9
/** Heat at the beginning and at the end, as shares of the cost. */
const [hot, cold] = [0.02, 0.0005]

interface Dates {
  pieces: number[]
  units: number[]
  stretch: number
}

/** The best row that was found in that share of the time; the board is empty before and after. */
export function searchDates(search: Search, { units, layout, latest, held }: Grain, from: number, until: number): number[] {
  const { pieces } = search.problem
  const sequence = new ChainSequence(layout, { keeps: true })
  const chains = units.flatMap(({ chains, piece }, unit) => chains.map(() => ({ unit, piece })))
  const inOrder = Int32Array.from(chains, (_, k) => k)
  const key = new Float64Array(chains.length)
  let now: Dates = {
    pieces: pieces.map(({ due, weight }) => due - (weight * dayMinutes) / 2),
    units: units.map(() => 0),
    stretch: 1,
  }
  let cost = Infinity
  let best = { row: rowOf(now), cost: Infinity }
  for (let share = search.spent(); share < until; share = search.spent()) {
    const over = (share - from) / Math.max(1e-9, until - from)
    const next = cost === Infinity ? now : shaken(now, 1.1 - over)
    const row = rowOf(next)
    const found = sequence.costOf(row, search.limit(cost, hot, cold, over))
    if (found === Infinity) {
      // where not even the first could be laid, any other
      if (cost === Infinity) now = shaken(now, 1)
      continue
    }
    ;[now, cost] = [next, found]
    sequence.keep()
    if (found < best.cost) best = { row, cost: found }
    search.better(layout)
  }
  sequence.clear()
  return best.row

  function rowOf(dates: Dates): number[] {
    chains.forEach(({ unit, piece }, k) => {
      const date = (dates.pieces[piece] ?? 0) + (dates.units[unit] ?? 0)
      const pinned = held[k] ?? never
      // what was begun comes before all else, or what must follow it soon finds no hands
      key[k] = pinned === never ? date - (date - latest.of(k, date)) * dates.stretch : pinned - begun
    })
    putInOrder(inOrder, (k) => key[k] ?? 0)
    return Array.from(inOrder, (k) => chains[k]?.unit ?? 0)
  }
  /** Two pieces' dates changed for each other, one earlier or later, a part against its piece, or more room for all. */
  function shaken(dates: Dates, size: number): Dates {
    const next = { pieces: [...dates.pieces], units: [...dates.units], stretch: dates.stretch }
    const chance = search.random()
    const [one, other] = [Math.floor(search.random() * pieces.length), Math.floor(search.random() * pieces.length)]
    if (chance < 0.2) [next.pieces[one], next.pieces[other]] = [next.pieces[other] ?? 0, next.pieces[one] ?? 0]
    else if (chance < 0.6) next.pieces[one] = (next.pieces[one] ?? 0) + search.around() * far * size
    else if (chance < 0.9) {
      const unit = Math.floor(search.random() * units.length)
      next.units[unit] = search.random() < 0.2 ? 0 : (next.units[unit] ?? 0) + search.around() * partly * size
    } else next.stretch = Math.max(0.3, next.stretch + search.around() / 2)
    return next
  }
}
