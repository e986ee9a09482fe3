/** One worker's hours: when a step that is begun at a minute ends, and when it may be begun next. Minutes; pure. */
import type { Worker, WorkStep } from './problem'

type Timed = Pick<WorkStep, 'dur' | 'split'>

/** Never. */
export const never = -1

export class Calendar {
  private readonly from: Int32Array
  private readonly to: Int32Array
  /** by slot of the grid: the first stretch that ends after it */
  private readonly at: Int32Array
  /** when the step ends whose start was found last */
  ends = never

  constructor(
    { work }: Worker,
    private readonly grid: number,
    readonly horizon: number,
  ) {
    this.from = Int32Array.from(work, ([from]) => from)
    this.to = Int32Array.from(work, ([, to]) => Math.min(to, horizon))
    this.at = new Int32Array(Math.floor(horizon / grid) + 2).fill(work.length)
    let k = 0
    for (let slot = 0; slot < this.at.length; slot += 1) {
      while (k < work.length && (this.to[k] ?? 0) <= slot * grid) k += 1
      this.at[slot] = k
    }
  }

  private stretchAt(minute: number): number {
    return minute >= this.horizon ? this.from.length : (this.at[(minute / this.grid) | 0] ?? this.from.length)
  }

  /** When a step begun at a minute ends; {@link never} where it may not be begun then. */
  endOf({ dur, split }: Timed, minute: number): number {
    const k = this.stretchAt(minute)
    return k >= this.from.length || (this.from[k] ?? 0) > minute ? never : this.endFrom(k, dur, split, minute)
  }
  /** The same, of what is begun in a stretch. */
  private endFrom(stretch: number, dur: number, split: boolean, minute: number): number {
    const { from, to } = this
    let left = dur
    let now = minute
    for (let k = stretch; ;) {
      const until = to[k] ?? 0
      if (now + left <= until) return now + left
      k += 1
      if (!split || k >= from.length) return never
      left -= until - now
      now = from[k] ?? 0
    }
  }

  /** The first minute at or after one at which a step may be begun, however busy the worker is; {@link never} where there is none. */
  nextStart({ dur, split }: Timed, minute: number): number {
    return this.nextStartOf(dur, split, minute)
  }
  nextStartOf(dur: number, split: boolean, minute: number): number {
    for (let k = this.stretchAt(minute); k < this.from.length; k += 1) {
      const from = this.from[k] ?? 0
      const start = minute > from ? minute : from
      this.ends = this.endFrom(k, dur, split, start)
      if (this.ends !== never) return start
      // what may be split fits nowhere later either
      if (split) return never
    }
    return never
  }
}
