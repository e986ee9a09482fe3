/** What is in one pair of hands, or in the booth: steps in the order they are worked, never two at once. Minutes; pure. */
import type { Memory } from './memory'

export class Hands {
  readonly step: Int32Array
  readonly start: Int32Array
  readonly end: Int32Array
  private readonly size: Int32Array

  constructor(most: number, memory: Memory) {
    this.step = memory.list(most)
    this.start = memory.list(most)
    this.end = memory.list(most)
    this.size = memory.list(1)
  }
  get count(): number {
    return this.size[0] ?? 0
  }

  /** The place of the first that ends after a minute. */
  firstEndingAfter(minute: number): number {
    let low = 0
    let high = this.count
    while (low < high) {
      const middle = (low + high) >> 1
      if ((this.end[middle] ?? 0) > minute) high = middle
      else low = middle + 1
    }
    return low
  }
  put(step: number, start: number, end: number): void {
    let k = this.count
    this.size[0] = k + 1
    for (; k > 0 && (this.end[k - 1] ?? 0) > start; k -= 1) {
      this.step[k] = this.step[k - 1] ?? 0
      this.start[k] = this.start[k - 1] ?? 0
      this.end[k] = this.end[k - 1] ?? 0
    }
    this.step[k] = step
    this.start[k] = start
    this.end[k] = end
  }
  take(step: number): void {
    const last = this.count - 1
    let k = last
    while (k >= 0 && this.step[k] !== step) k -= 1
    if (k < 0) return
    this.size[0] = last
    for (; k < last; k += 1) {
      this.step[k] = this.step[k + 1] ?? 0
      this.start[k] = this.start[k + 1] ?? 0
      this.end[k] = this.end[k + 1] ?? 0
    }
  }
}
