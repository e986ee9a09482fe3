/** The waits of a problem as flat lists, by index, and by step those into it and out of it: for what is asked very often. Pure. */
import { never } from './calendar'
import { isFirm, missing, type WorkshopProblem } from './problem'

/** No most. */
export const open = 0x3fffffff

export class WaitTable {
  /** {@link never} where it counts from the first moment */
  readonly from: Int32Array
  readonly to: Int32Array
  readonly min: Int32Array
  /** {@link open} where there is none */
  readonly max: Int32Array
  /** whether its most is held to, whatever it costs */
  readonly firm: Uint8Array
  /** whether it holds a drying place */
  readonly rack: Uint8Array
  /** what missing its most counts while weeks are compared */
  readonly penalty: Float64Array
  /** indices of waits into step k stand from place `intoAt[k]` to `intoAt[k + 1]` */
  readonly into: Int32Array
  readonly intoAt: Int32Array
  readonly out: Int32Array
  readonly outAt: Int32Array
  /** those that hold a drying place, those whose most may be missed */
  readonly racks: Int32Array
  readonly soft: Int32Array
  /** by step: no sooner than this from the first moment */
  readonly release: Int32Array

  constructor({ steps, lags }: Pick<WorkshopProblem, 'steps' | 'lags'>) {
    this.from = Int32Array.from(lags, ({ from }) => from ?? never)
    this.to = Int32Array.from(lags, ({ to }) => to)
    this.min = Int32Array.from(lags, ({ min }) => min)
    this.max = Int32Array.from(lags, ({ max }) => max ?? open)
    this.firm = Uint8Array.from(lags, (lag) => Number(isFirm(lag)))
    this.rack = Uint8Array.from(lags, ({ rack }) => Number(rack))
    this.penalty = Float64Array.from(lags, missing)
    ;[this.into, this.intoAt] = byStep(this.to, steps.length)
    ;[this.out, this.outAt] = byStep(this.from, steps.length)
    this.racks = indexOf(lags, ({ rack }) => rack)
    this.soft = indexOf(lags, (lag) => lag.max !== null && !isFirm(lag))
    this.release = new Int32Array(steps.length)
    for (const { from, to, min } of lags) if (from === null) this.release[to] = Math.max(this.release[to] ?? 0, min)
  }
}

function byStep(step: Int32Array, count: number): [Int32Array, Int32Array] {
  const lists: number[][] = Array.from({ length: count }, () => [])
  step.forEach((k, lag) => lists[k]?.push(lag))
  const at = new Int32Array(count + 1)
  lists.forEach((list, k) => (at[k + 1] = (at[k] ?? 0) + list.length))
  return [Int32Array.from(lists.flat()), at]
}
const indexOf = <T>(all: readonly T[], asked: (each: T) => boolean): Int32Array =>
  Int32Array.from(all.flatMap((each, k) => (asked(each) ? [k] : [])))
