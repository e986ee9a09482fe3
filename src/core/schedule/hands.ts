/** What is in one pair of hands, or in the booth: steps in the order they are worked, never two at once. Minutes; pure. */

export class Hands {
  readonly step: Int32Array
  readonly start: Int32Array
  readonly end: Int32Array
  count = 0

  constructor(most: number) {
    this.step = new Int32Array(most)
    this.start = new Int32Array(most)
    this.end = new Int32Array(most)
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
    for (; k > 0 && (this.end[k - 1] ?? 0) > start; k -= 1) {
      this.step[k] = this.step[k - 1] ?? 0
      this.start[k] = this.start[k - 1] ?? 0
      this.end[k] = this.end[k - 1] ?? 0
    }
    this.step[k] = step
    this.start[k] = start
    this.end[k] = end
    this.count += 1
  }
  take(step: number): void {
    let k = this.count - 1
    while (k >= 0 && this.step[k] !== step) k -= 1
    if (k < 0) return
    this.count -= 1
    for (; k < this.count; k += 1) {
      this.step[k] = this.step[k + 1] ?? 0
      this.start[k] = this.start[k + 1] ?? 0
      this.end[k] = this.end[k + 1] ?? 0
    }
  }
}
