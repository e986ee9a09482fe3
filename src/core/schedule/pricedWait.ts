/** A wait in a week where everything is for hire: which starts of what is waited for each start finds over, told once; and the cheapest of them. Pure. */
import { isFirm, type Lag } from './problem'
import type { Starts } from './starts'

/** The starts that a step may still have, and what each costs with all that was before it. */
export interface Own extends Starts {
  worth: Float64Array
  /** what its hands cost, and whose are the cheapest */
  hands: Float64Array
  by: Uint8Array
}

export interface Branch {
  lag: Lag & { from: number }
  /** by start of the step it ends in: the start of the step it begins in */
  chosen: Int32Array
  /** starts of the step it begins in, and their ends, as they come to their ends */
  order: Int32Array | null
  ends: Int32Array
  /** by start of the step it ends in: how many of those are over in time, and how many of them too long before; null where it may be long */
  over: Int32Array
  stale: Int32Array | null
  /** what is paid where it was too long; where that may not be, nothing is little enough */
  miss: number
}

/** Lengths in slots of `grid` minutes. */
export function branchOf(lag: Branch['lag'], from: Own, { start }: Own, grid: number): Branch {
  const { min, max } = lag
  const order = from.byEnd
  const ends = order ? order.map((nth) => from.end[nth] ?? 0) : from.end
  return {
    lag,
    chosen: new Int32Array(start.length),
    order,
    ends,
    over: upTo(ends, start, Math.ceil(min / grid)),
    stale: max === null ? null : upTo(ends, start, Math.floor(max / grid) + 1),
    miss: isFirm(lag) ? Infinity : lag.penalty,
  }
}

/** By start: how many are over so long before. */
function upTo(ends: Int32Array, start: Int32Array, wait: number): Int32Array {
  const many = new Int32Array(start.length)
  let next = 0
  for (let k = 0; k < start.length; k += 1) {
    const last = (start[k] ?? 0) - wait
    while (next < ends.length && (ends[next] ?? 0) <= last) next += 1
    many[k] = next
  }
  return many
}

/** Room to work in, as long as there are starts. */
export interface Room {
  queue: Int32Array
  prices: Float64Array
}
/**
 * Adds to each start of a step what what it waits for costs at the cheapest; `held`: what a slot costs, of all slots before, from the end of
 * one to the start of the other; null where it holds nothing.
 */
export function addWait(branch: Branch, from: Own, to: Own, held: Float64Array | null, room: Room): void {
  const { order, chosen } = branch
  const prices = order || held ? inOrderOfEnds(branch, from.worth, held, room.prices) : from.worth
  if (branch.stale) addInTime(branch, branch.stale, to, prices, room.queue)
  else addCheapest(branch, to, prices)
  const { start, worth } = to
  if (held) for (let k = 0; k < worth.length; k += 1) worth[k] = (worth[k] ?? 0) + (held[start[k] ?? 0] ?? 0)
  if (order) for (let k = 0; k < chosen.length; k += 1) chosen[k] = order[chosen[k] ?? 0] ?? 0
}
function inOrderOfEnds(
  { order, ends }: Branch,
  worth: Float64Array,
  held: Float64Array | null,
  prices: Float64Array,
): Float64Array {
  if (order) for (let k = 0; k < ends.length; k += 1) prices[k] = worth[order[k] ?? 0] ?? 0
  else prices.set(worth)
  if (held) for (let k = 0; k < ends.length; k += 1) prices[k] = (prices[k] ?? 0) - (held[ends[k] ?? 0] ?? 0)
  return prices
}
/** However long it is. */
function addCheapest({ over, chosen }: Branch, { worth }: Own, prices: Float64Array): void {
  let next = 0
  let least = Infinity
  let leastAt = 0
  for (let k = 0; k < worth.length; k += 1) {
    const until = over[k] ?? 0
    for (; next < until; next += 1) {
      const price = prices[next] ?? 0
      if (price < least) {
        least = price
        leastAt = next
      }
    }
    worth[k] = (worth[k] ?? 0) + least
    chosen[k] = leastAt
  }
}
/** In time, or with what it costs to miss it. */
function addInTime(
  { over, miss, chosen }: Branch,
  stale: Int32Array,
  { worth }: Own,
  prices: Float64Array,
  queue: Int32Array,
): void {
  let next = 0
  let least = Infinity
  let leastAt = 0
  let first = 0
  let last = 0
  for (let k = 0; k < worth.length; k += 1) {
    const until = over[k] ?? 0
    for (; next < until; next += 1) {
      const price = prices[next] ?? 0
      if (price < least) {
        least = price
        leastAt = next
      }
      while (last > first && (prices[queue[last - 1] ?? 0] ?? 0) >= price) last -= 1
      queue[last] = next
      last += 1
    }
    let price = least + miss
    let at = leastAt
    const since = stale[k] ?? 0
    while (first < last && (queue[first] ?? 0) < since) first += 1
    if (first < last) {
      const inTime = queue[first] ?? 0
      const its = prices[inTime] ?? 0
      if (its <= price) {
        price = its
        at = inTime
      }
    }
    worth[k] = (worth[k] ?? 0) + price
    chosen[k] = at
  }
}
