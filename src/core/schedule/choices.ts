/** What weeks that are worked beside each other may go on with; flat, for there are many. Pure. */

/** What one week may go on with. */
export interface Choice {
  week: number
  step: number
  by: number
  start: number
  end: number
  /** drying places that are taken then */
  rack: number
  /** by when one must come free, where that is one more than there are */
  until: number
  /** windows missed, in what they cost */
  missed: number
}

/** Choices, flat. */
export class Choices {
  size = 0
  private room = 1024
  /** the less the likelier */
  weight = new Float64Array(this.room)
  private missed = new Float64Array(this.room)
  private whole = new Int32Array(this.room * 7)
  private heap = new Int32Array(this.room)

  add(weight: number, { week, step, by, start, end, rack, until, missed }: Choice): void {
    if (this.size === this.room) this.grow()
    const at = this.size * 7
    this.weight[this.size] = weight
    this.missed[this.size] = missed
    this.whole[at] = week
    this.whole[at + 1] = step
    this.whole[at + 2] = by
    this.whole[at + 3] = start
    this.whole[at + 4] = end
    this.whole[at + 5] = rack
    this.whole[at + 6] = until
    this.size += 1
  }
  private grow(): void {
    const { weight, missed, whole } = this
    this.room *= 2
    this.weight = new Float64Array(this.room)
    this.weight.set(weight)
    this.missed = new Float64Array(this.room)
    this.missed.set(missed)
    this.whole = new Int32Array(this.room * 7)
    this.whole.set(whole)
  }
  get(k: number): Choice {
    const { whole, missed } = this
    const at = k * 7
    return {
      week: whole[at] ?? 0,
      step: whole[at + 1] ?? 0,
      by: whole[at + 2] ?? 0,
      start: whole[at + 3] ?? 0,
      end: whole[at + 4] ?? 0,
      rack: whole[at + 5] ?? 0,
      until: whole[at + 6] ?? 0,
      missed: missed[k] ?? 0,
    }
  }
  /** From the likeliest on, in their order; no more than so many. Ended by whoever asks: what is not asked for is not put in order. */
  *likeliest(many: number): Generator<number, void> {
    const { weight } = this
    if (this.heap.length < this.size) this.heap = new Int32Array(this.room)
    const { heap } = this
    let left = this.size
    for (let k = 0; k < left; k += 1) heap[k] = k
    for (let k = (left >> 1) - 1; k >= 0; k -= 1) sink(heap, weight, k, left)
    for (let nth = 0; nth < many && left > 0; nth += 1) {
      yield heap[0] ?? 0
      left -= 1
      heap[0] = heap[left] ?? 0
      sink(heap, weight, 0, left)
    }
  }
}
/** Puts what stands at a place of a heap below all that is less. */
function sink(heap: Int32Array, weight: Float64Array, place: number, size: number): void {
  const own = heap[place] ?? 0
  const heavy = weight[own] ?? 0
  let at = place
  for (;;) {
    let next = 2 * at + 1
    if (next >= size) break
    if (next + 1 < size && (weight[heap[next + 1] ?? 0] ?? 0) < (weight[heap[next] ?? 0] ?? 0)) next += 1
    if ((weight[heap[next] ?? 0] ?? 0) >= heavy) break
    heap[at] = heap[next] ?? 0
    at = next
  }
  heap[at] = own
}
/** Puts a number among the least there are, in their order; the greatest of them falls out. */
export function insert(least: Float64Array, value: number): void {
  let at = least.length - 1
  if (value >= (least[at] ?? 0)) return
  for (; at > 0 && (least[at - 1] ?? 0) > value; at -= 1) least[at] = least[at - 1] ?? 0
  least[at] = value
}
