/** Minutes in their order, put in and taken out very often. Pure. */

export class InOrder {
  readonly at: Int32Array
  count = 0

  constructor(most: number) {
    this.at = new Int32Array(most)
  }

  put(minute: number): void {
    let k = this.count
    for (; k > 0 && (this.at[k - 1] ?? 0) > minute; k -= 1) this.at[k] = this.at[k - 1] ?? 0
    this.at[k] = minute
    this.count += 1
  }
  /** One that was put in before. */
  take(minute: number): void {
    let k = this.count - 1
    while (k > 0 && this.at[k] !== minute) k -= 1
    this.count -= 1
    for (; k < this.count; k += 1) this.at[k] = this.at[k + 1] ?? 0
  }
}
