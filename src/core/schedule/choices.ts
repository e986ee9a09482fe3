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
  /** The likeliest so many, in their order. */
  likeliest(many: number): number[] {
    const { weight, size } = this
    const limit = nth(weight.slice(0, size), many)
    const found: number[] = []
    for (let k = 0; k < size; k += 1) if ((weight[k] ?? 0) <= limit) found.push(k)
    return found.sort((one, other) => (weight[one] ?? 0) - (weight[other] ?? 0))
  }
}
/** The so many-th least; the values are put in another order by it. */
function nth(values: Float64Array, many: number): number {
  if (many >= values.length) return Infinity
  let [low, high] = [0, values.length - 1]
  while (low < high) {
    const pivot = values[(low + high) >> 1] ?? 0
    let [i, j] = [low, high]
    while (i <= j) {
      while ((values[i] ?? 0) < pivot) i += 1
      while ((values[j] ?? 0) > pivot) j -= 1
      if (i > j) break
      const value = values[i] ?? 0
      values[i] = values[j] ?? 0
      values[j] = value
      i += 1
      j -= 1
    }
    if (many - 1 <= j) high = j
    else if (many - 1 >= i) low = i
    else break
  }
  return values[many - 1] ?? 0
}
