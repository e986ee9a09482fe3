/**
 * A week as far as it is laid: who is busy when, what is sprayed, how many drying places are taken; where a step fits first. Steps
 * are put down and taken up again in any order. Minutes; no chance, no clock.
 */
import { type Calendar, never } from './calendar'
import type { WorkshopProblem } from './problem'

export interface Fit {
  start: number
  end: number
  by: number
}

export class Board {
  readonly start: Int32Array
  readonly end: Int32Array
  readonly by: Int32Array
  /** by worker: steps in the order they are worked */
  private readonly busy: number[][]
  private readonly sprayed: number[] = []
  /** drying places taken, by slot of the grid */
  private readonly taken: Uint8Array
  /** when the step ends whose place was found last */
  private fitEnd = never
  /** what is in the brush, as a number; 0 for nothing */
  private readonly product: Int32Array

  constructor(
    protected readonly problem: WorkshopProblem,
    private readonly calendars: readonly Calendar[],
  ) {
    const { steps, painters, horizon, grid } = problem
    this.start = new Int32Array(steps.length).fill(never)
    this.end = new Int32Array(steps.length).fill(never)
    this.by = new Int32Array(steps.length).fill(never)
    this.busy = painters.map(() => [])
    this.taken = new Uint8Array(Math.ceil(horizon / grid) + 1)
    const products = [...new Set(steps.map(({ product }) => product))].filter((product) => product !== null)
    this.product = Int32Array.from(steps, ({ product }) => (product === null ? 0 : products.indexOf(product) + 1))
  }

  isLaid(step: number): boolean {
    return this.start[step] !== never
  }

  put(step: number, { start, end, by }: Fit): void {
    this.start[step] = start
    this.end[step] = end
    this.by[step] = by
    const own = this.busy[by] ?? []
    own.splice(this.firstEndingAfter(own, start), 0, step)
    if (this.problem.steps[step]?.spray) this.sprayed.splice(this.firstEndingAfter(this.sprayed, start), 0, step)
  }
  take(step: number): void {
    const own = this.busy[this.by[step] ?? 0] ?? []
    const start = this.start[step] ?? never
    own.splice(this.firstEndingAfter(own, start), 1)
    if (this.problem.steps[step]?.spray) this.sprayed.splice(this.sprayed.indexOf(step), 1)
    this.start[step] = never
    this.end[step] = never
  }

  /** Places held from one minute to another, one more (or, with -1, one fewer). */
  hold(from: number, to: number, more: 1 | -1): void {
    const { grid } = this.problem
    const until = Math.ceil(to / grid)
    for (let slot = Math.ceil(from / grid); slot < until; slot += 1) this.taken[slot] = (this.taken[slot] ?? 0) + more
  }
  /** Null where a place is free all that time; else the first minute after it at which one is. */
  fullUntil(from: number, to: number): number | null {
    const { grid, pools } = this.problem
    for (let slot = Math.ceil(from / grid); slot < to / grid; slot += 1) {
      if ((this.taken[slot] ?? 0) < pools.rack) continue
      let free = slot
      while (free < this.taken.length && (this.taken[free] ?? 0) >= pools.rack) free += 1
      return free * grid
    }
    return null
  }

  /** The first of these, in their order, that ends after a minute. */
  private firstEndingAfter(steps: readonly number[], minute: number): number {
    let [low, high] = [0, steps.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if ((this.end[steps[middle] ?? 0] ?? 0) > minute) high = middle
      else low = middle + 1
    }
    return low
  }

  /** Where a step can be worked first, at or after a minute, by whoever has done it soonest; null where nobody can by `latest`. */
  fit(step: number, minute: number, latest = Infinity): Fit | null {
    let best: Fit | null = null
    for (const by of this.problem.steps[step]?.painters ?? []) {
      const start = this.fitOn(step, by, minute, Math.min(latest, best ? best.end : Infinity))
      if (start === never) continue
      const end = this.fitEnd
      if (!best || end < best.end || (end === best.end && start > best.start)) best = { start, end, by }
    }
    return best
  }

  /** Where a step is worked by one at just this minute; null where it can't be. */
  protected fitOf(step: number, by: number, minute: number): Fit | null {
    return this.fitOn(step, by, minute, minute) === minute ? { start: minute, end: this.fitEnd, by } : null
  }
  private fitOn(step: number, by: number, minute: number, latest: number): number {
    const facts = this.problem.steps[step] ?? noStep
    const calendar = this.calendars[by]
    const own = this.busy[by] ?? []
    const product = this.product[step] ?? 0
    let at = Math.ceil(minute / this.problem.grid) * this.problem.grid
    let next = this.firstEndingAfter(own, at)
    while (calendar) {
      at = calendar.nextStart(facts, at)
      if (at === never || at > latest) return never
      const end = calendar.ends
      while (next < own.length && (this.end[own[next] ?? 0] ?? 0) <= at) next += 1
      if (next < own.length && (this.start[own[next] ?? 0] ?? 0) < end) {
        // on to the first gap that is long enough
        do at = this.end[own[next++] ?? 0] ?? at
        while (next < own.length && (this.start[own[next] ?? 0] ?? 0) - at < facts.dur)
        continue
      }
      const later = product > 0 ? this.brushClash(own, next, product, at, end) : never
      const spray: number = later === never && facts.spray ? this.sprayClash(at, end) : never
      if (later === never && spray === never) {
        this.fitEnd = end
        return at
      }
      at = Math.max(later, spray)
    }
    return never
  }

  /** Another product before or after it, with no time to clean the brush: when to try next; {@link never} where there is time. */
  private brushClash(own: readonly number[], next: number, product: number, start: number, end: number): number {
    const { setup, grid } = this.problem
    for (let k = next - 1; k >= 0; k -= 1) {
      const before = own[k] ?? 0
      const other = this.product[before] ?? 0
      if (other === 0) continue
      const free = (this.end[before] ?? 0) + setup
      if (other !== product && free > start) return Math.ceil(free / grid) * grid
      break
    }
    for (let k = next; k < own.length; k += 1) {
      const after = own[k] ?? 0
      const other = this.product[after] ?? 0
      if (other === 0) continue
      // it fits no gap before what is worked next
      if (other !== product && (this.start[after] ?? 0) < end + setup) return this.end[own[next] ?? after] ?? never
      break
    }
    return never
  }

  private sprayClash(start: number, end: number): number {
    let [over, soonest] = [0, Infinity]
    for (let k = this.firstEndingAfter(this.sprayed, start); k < this.sprayed.length; k += 1) {
      const other = this.sprayed[k] ?? 0
      if ((this.start[other] ?? 0) >= end) break
      over += 1
      soonest = Math.min(soonest, this.end[other] ?? Infinity)
    }
    return over >= this.problem.pools.spray ? soonest : never
  }
}

const noStep = { piece: 0, part: 0, name: '', dur: 0, split: false, product: null, spray: false, painters: [] }
