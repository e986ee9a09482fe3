/**
 * Better weeks around one that is gone on from: some pieces are taken out and laid back in another order, half of the time chain by chain
 * among each other; all else is held where it is. Pure.
 */
import { layMixed, type OpenUnit } from './layMixed'
import type { Search } from './search'

const dayMinutes = 1440
/** Heat at the beginning and at the end, as shares of the cost. */
const [hot, cold] = [0.02, 0.0004]
/** A chain may be begun so much later than it could. */
const laterBy = [120, 480, dayMinutes, 3 * dayMinutes]

/** The board is empty before and after. */
export function searchAround(search: Search, from: number, until: number): void {
  const { problem, layout, units, best, order } = search
  if (!best) return
  const byPiece = problem.pieces.map((_, piece) => order.filter((unit) => units[unit]?.piece === piece))
  search.lie(best)
  cool()
  search.clear()

  function stirOf(taken: readonly number[]): number {
    return taken.reduce((sum, unit) => sum + search.stirOf(layout, units[unit]?.steps), 0)
  }

  function cool(): void {
    let stirred = stirOf(order)
    let cost = layout.cost + stirred
    for (let share = search.spent(); share < until; share = search.spent()) {
      const out = chosen()
      const ends = problem.pieces.map(({ final }) => layout.endOf(final))
      const taken = out.flatMap((piece) => byPiece[piece] ?? [])
      const saved = taken.map((unit) => [unit, layout.save(unit)] as const)
      const others = stirred - stirOf(taken)
      for (const unit of [...taken].reverse()) layout.take(unit)
      const worth = search.limit(cost, hot, cold, (share - from) / Math.max(1e-9, until - from))
      const limit = worth - others
      const laid: number[] = []
      const whole = search.random() < 0.5 ? layAmong(taken, ends, laid, limit) : layBack(shuffled(out), laid, limit)
      const now = whole ? others + stirOf(taken) : 0
      if (whole && layout.cost + now <= worth) {
        stirred = now
        cost = layout.cost + now
        search.better(layout.cost, { stir: now })
        continue
      }
      for (const unit of laid.reverse()) layout.take(unit)
      for (const [unit, fits] of saved) layout.putBack(unit, fits)
    }
  }

  /** Chain by chain: by their latest start towards a date that each piece is given by chance; now and then by chance alone. */
  function layAmong(wanted: readonly number[], ends: readonly number[], laid: number[], limit: number): boolean {
    const wild = search.random() < (wanted.length <= 16 ? 0.75 : 0.25)
    const spread = dayMinutes * search.random() ** 2 * 8
    const dates = problem.pieces.map(
      ({ due }, piece) => (search.random() < 0.5 ? due : (ends[piece] ?? due)) + search.around() * spread,
    )
    let last = -1
    const next = (open: readonly OpenUnit[]): number => {
      if (wild) return (last = open.some(({ unit }) => unit === last) && search.random() < 0.5 ? last : search.pick(open).unit)
      const latest = ({ piece, tail }: OpenUnit) => (dates[piece] ?? 0) - tail
      return open.reduce((first, each) => (latest(each) < latest(first) ? each : first)).unit
    }
    // the earliest is not always the best
    const waits = search.random() < 0.3
    const later = () => (waits && search.random() < 0.1 ? search.random() * search.pick(laterBy) : 0)
    if (!layMixed(layout, wanted, { next, later, limit })) return false
    laid.push(...wanted)
    return true
  }
  function layBack(pieces: readonly number[], laid: number[], limit: number): boolean {
    for (const piece of pieces) {
      // now and then a piece waits, so that the next may be there first
      const delay = search.random() < 0.15 ? search.pick([1, 2, 3]) * dayMinutes * search.random() : 0
      for (const unit of byPiece[piece] ?? []) {
        if (!layout.lay(unit, delay)) return false
        laid.push(unit)
        if (layout.cost > limit) return false
      }
    }
    return true
  }

  /** One to five pieces, mostly neighbours in time; of few pieces all may be taken out. */
  function chosen(): number[] {
    const all = problem.pieces.map((_, piece) => piece)
    const count = Math.min(all.length, 1 + Math.floor(search.random() ** 2 * 5 + search.random()))
    const first = search.pick(all)
    const endOf = (piece: number) => layout.endOf(problem.pieces[piece]?.final ?? 0)
    const near = all
      .filter((piece) => piece !== first)
      .sort((a, b) => Math.abs(endOf(a) - endOf(first)) - Math.abs(endOf(b) - endOf(first)))
    return [
      first,
      ...Array.from({ length: count - 1 }, () => near.splice(Math.floor(search.random() ** 2 * near.length), 1)[0] ?? first),
    ]
  }
  function shuffled(all: readonly number[]): number[] {
    const rest = [...all]
    return all.map(() => rest.splice(Math.floor(search.random() * rest.length), 1)[0] ?? 0)
  }
}
