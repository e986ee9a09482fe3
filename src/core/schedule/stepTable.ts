/** The steps of a problem as flat lists, with their waits: for what is asked very often. Pure. */
import type { WorkshopProblem } from './problem'
import { WaitTable } from './waitTable'

export class StepTable {
  readonly waits: WaitTable
  readonly dur: Int32Array
  readonly split: Uint8Array
  readonly spray: Uint8Array
  /** what is in the brush, as a number; 0 for nothing */
  readonly product: Int32Array
  /** who may work step k stands from place `byAt[k]` to `byAt[k + 1]` */
  readonly by: Int32Array
  readonly byAt: Int32Array

  constructor({ steps, lags }: Pick<WorkshopProblem, 'steps' | 'lags'>) {
    this.waits = new WaitTable({ steps, lags })
    this.dur = Int32Array.from(steps, ({ dur }) => dur)
    this.split = Uint8Array.from(steps, ({ split }) => Number(split))
    this.spray = Uint8Array.from(steps, ({ spray }) => Number(spray))
    const products = [...new Set(steps.map(({ product }) => product))].filter((product) => product !== null)
    this.product = Int32Array.from(steps, ({ product }) => (product === null ? 0 : products.indexOf(product) + 1))
    ;[this.by, this.byAt] = flat(steps.map(({ painters }) => painters))
  }
}

/** Lists one after the other, and where each begins. */
export function flat(lists: readonly (readonly number[])[]): [Int32Array, Int32Array] {
  const at = new Int32Array(lists.length + 1)
  lists.forEach((list, k) => (at[k + 1] = (at[k] ?? 0) + list.length))
  return [Int32Array.from(lists.flat()), at]
}
