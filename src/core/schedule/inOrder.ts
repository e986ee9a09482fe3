/** Minutes in their order, put in and taken out very often. Pure. */

import type { Memory } from './memory'

export class InOrder {
  readonly at: Int32Array
  private readonly size: Int32Array

  constructor(most: number, memory: Memory) {
    this.at = memory.list(most)
    this.size = memory.list(1)
  }
  get count(): number {
    return this.size[0] ?? 0
  }

  put(minute: number): void {
    let k = this.count
    this.size[0] = k + 1
    for (; k > 0 && (this.at[k - 1] ?? 0) > minute; k -= 1) this.at[k] = this.at[k - 1] ?? 0
    this.at[k] = minute
  }
  /** One that was put in before. */
  take(minute: number): void {
    const last = this.count - 1
    let k = last
    while (k > 0 && this.at[k] !== minute) k -= 1
    this.size[0] = last
    for (; k < last; k += 1) this.at[k] = this.at[k + 1] ?? 0
  }
}
