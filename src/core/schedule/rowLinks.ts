/** Who works what after what, as links: what comes before a step in the same hands, with the same brush, in the booth. Pure. */
import { never } from './calendar'
import type { WorkshopProblem } from './problem'

/** What is timed. */
export interface Rows {
  /** steps in one order, in which most of them follow what they wait for; each worker's row is those of it that are theirs */
  order: readonly number[]
  /** who works each step, by index */
  by: Int32Array
  /** waits whose most may be missed, by index */
  given: Uint8Array
}

export class RowLinks {
  readonly before: Int32Array
  readonly after: Int32Array
  readonly wetBefore: Int32Array
  readonly wetAfter: Int32Array
  readonly sprayBefore: Int32Array
  readonly sprayAfter: Int32Array
  /** in the order */
  readonly place: Int32Array
  private readonly last: Int32Array
  private readonly lastWet: Int32Array

  /** `product`: what is in the brush, as a number; {@link never} for nothing. */
  constructor(
    private readonly problem: WorkshopProblem,
    private readonly product: Int32Array,
  ) {
    const ints = (size = problem.steps.length) => new Int32Array(size).fill(never)
    ;[this.before, this.after, this.wetBefore, this.wetAfter] = [ints(), ints(), ints(), ints()]
    ;[this.sprayBefore, this.sprayAfter, this.place] = [ints(), ints(), ints()]
    ;[this.last, this.lastWet] = [ints(problem.painters.length), ints(problem.painters.length)]
  }

  link({ order, by }: Rows): void {
    const { last, lastWet } = this
    last.fill(never)
    lastWet.fill(never)
    const booths = this.problem.pools.spray
    const sprayed: number[] = []
    for (let k = 0; k < order.length; k += 1) {
      const step = order[k] ?? 0
      const who = by[step] ?? 0
      this.place[step] = k
      const before = last[who] ?? never
      this.before[step] = before
      this.after[step] = never
      if (before !== never) this.after[before] = step
      last[who] = step
      if (this.product[step] !== never) {
        const wet = lastWet[who] ?? never
        this.wetBefore[step] = wet
        this.wetAfter[step] = never
        if (wet !== never) this.wetAfter[wet] = step
        lastWet[who] = step
      }
      if (!this.problem.steps[step]?.spray) continue
      const other = sprayed[sprayed.length - booths] ?? never
      this.sprayBefore[step] = other
      this.sprayAfter[step] = never
      if (other !== never) this.sprayAfter[other] = step
      sprayed.push(step)
    }
  }
}
