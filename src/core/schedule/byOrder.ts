/** A first week by rules of thumb, then better ones by orders of parts: the dates they are worked towards are shaken, then the order itself. Pure. */
import type { Search } from './search'
import { Orders, Sequence } from './sequence'

const dayMinutes = 1440
/** Heat at the beginning and at the end, as a share of the cost. */
const [hot, cold] = [0.02, 0.0004]

/** Answers with the unit that no order had a place for, where none could be laid. */
export function searchOrders(search: Search, untilDates: number, until: number): number | null {
  const { problem, earliest, units } = search
  const orders = new Orders(units)
  const sequence = new Sequence(search.layout)
  const ends = problem.pieces.map(({ final }) => earliest.end[final] ?? 0)
  const rules = [
    problem.pieces.map(({ due }) => due),
    ends,
    problem.pieces.map(({ due, weight }) => due - (weight * dayMinutes) / 2),
    problem.pieces.map(({ weight }, k) => (ends[k] ?? 0) / weight),
    problem.pieces.map(({ due }, k) => (due + (ends[k] ?? 0)) / 2),
  ]
  /** Units by their latest start towards the dates of their pieces. */
  const orderBy = (dates: readonly number[]): number[] => {
    const latest = (unit: number) => (dates[units[unit]?.piece ?? 0] ?? 0) - (units[unit]?.tail ?? 0)
    return [...orders.free].sort((a, b) => latest(a) - latest(b) || a - b)
  }
  let [dates, cost] = [rules[0] ?? [], Infinity]
  let failed: number | null = null
  for (const rule of rules) {
    const row = orders.whole(orderBy(rule))
    const found = sequence.costOf(row)
    if (found === Infinity) failed ??= sequence.nextOf(row)
    search.spent()
    search.better(found)
    if (found < cost) [dates, cost] = [rule, found]
  }
  let [best, least] = [dates, cost]
  for (let share = search.spent(); share < untilDates; share = search.spent()) {
    const next = shaken(dates, share / untilDates)
    const limit = search.limit(cost, hot, cold, share / untilDates)
    const found = sequence.costOf(orders.whole(orderBy(next)), limit)
    if (found > limit || found === Infinity) continue
    ;[dates, cost] = [next, found]
    search.better(found)
    if (found < least) [best, least] = [next, found]
  }
  let [order, delays] = [orderBy(best), {} as Record<number, number>]
  cost = sequence.costOf(orders.whole(order))
  for (let share = search.spent(); share < until; share = search.spent()) {
    const [next, later] = moved(order, delays)
    const limit = search.limit(cost, hot, cold, (share - untilDates) / (until - untilDates))
    const found = sequence.costOf(orders.whole(next, later), limit)
    if (found > limit || found === Infinity) continue
    ;[order, delays, cost] = [next, later, found]
    search.better(found)
  }
  sequence.clear()
  return search.best ? null : failed

  /** Two pieces' dates changed for each other, or one earlier or later, by ever less. */
  function shaken(now: readonly number[], over: number): number[] {
    const next = [...now]
    const [one, other] = [Math.floor(search.random() * next.length), Math.floor(search.random() * next.length)]
    if (search.random() < 0.3) [next[one], next[other]] = [next[other] ?? 0, next[one] ?? 0]
    else next[one] = (next[one] ?? 0) + search.around() * dayMinutes * 6 * (1.2 - over)
    return next
  }

  /** A part elsewhere in the order, all of a piece together, or a part that waits. */
  function moved(now: readonly number[], waits: Readonly<Record<number, number>>): [number[], Record<number, number>] {
    const next = [...now]
    const chance = search.random()
    const from = Math.floor(search.random() * next.length)
    const unit = next[from] ?? 0
    if (chance < 0.12) {
      const { [unit]: delay, ...rest } = waits
      const begins = Math.max(0, search.layout.startOf(unit))
      return [next, delay !== undefined ? rest : { ...rest, [unit]: begins + search.pick([60, 240, dayMinutes]) }]
    }
    if (chance < 0.3) {
      const piece = units[unit]?.piece
      const others = next.filter((each) => units[each]?.piece !== piece)
      others.splice(Math.floor(search.random() * (others.length + 1)), 0, ...next.filter((each) => units[each]?.piece === piece))
      return [others, { ...waits }]
    }
    const reach = chance < 0.8 ? 4 : next.length
    const to = Math.max(0, Math.min(next.length - 1, from + Math.round((search.random() - 0.5) * 2 * reach)))
    next.splice(from, 1)
    next.splice(to, 0, unit)
    return [next, { ...waits }]
  }
}
