/** Minutes in their order, put in and taken out very often; and a list put in order again that nearly is. Pure. */
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

/** Puts a list in order by what is told of each, else by number; soon done where little of it has changed since it was in order. */
export function putInOrder(list: Int32Array, keyOf: (each: number) => number): void {
  for (let k = 1; k < list.length; k += 1) {
    const each = list[k] ?? 0
    const key = keyOf(each)
    let at = k
    for (; at > 0; at -= 1) {
      const before = list[at - 1] ?? 0
      const other = keyOf(before)
      if (other < key || (other === key && before < each)) break
      list[at] = before
    }
    list[at] = each
  }
}
