/** What can be hired, and what hands cost from each start to its end. Slots of the grid; pure. */
import type { StartsByHands } from './starts'

/** What can be hired: of each how many there are, whether at all in a slot, and what a slot of it costs. */
export interface Hired {
  many: number
  open: Uint8Array | null
  price: Float64Array
  /** of all slots before */
  before: Float64Array
}
/** By start: what the cheapest hands cost, and whose they are. */
export interface HandsCost {
  cost: Float64Array
  by: Uint8Array
}
export function priceHands(
  { start, end, first, by: whose }: StartsByHands,
  hands: readonly Hired[],
  { cost, by }: HandsCost,
): void {
  const befores = hands.map(({ before }) => before)
  for (let k = 0; k < cost.length; k += 1) {
    const from = start[k] ?? 0
    const to = end[k] ?? 0
    const last = first[k + 1] ?? 0
    let least = Infinity
    for (let nth = first[k] ?? 0; nth < last; nth += 1) {
      const who = whose[nth] ?? 0
      const before = befores[who] ?? none
      const price = (before[to] ?? 0) - (before[from] ?? 0)
      if (price < least) {
        least = price
        by[k] = who
      }
    }
    cost[k] = least
  }
}
const none = new Float64Array(0)
