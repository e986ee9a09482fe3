/** What it costs that steps are not where they were in a week that is gone on from: the more, the sooner they begin. Pure. */
import { never } from './calendar'
import type { WorkshopSchedule } from './problem'

/** Moving all of its steps costs this share of the week; so much more where they begin within a day. */
const share = 0.3
const soonCounts = 2
const soon = 1440
/** What is moved by so little is pushed rather than moved, and costs that share. */
const [slip, slipCounts] = [60, 0.5]

export class Moved {
  private readonly start: Int32Array
  /** by step: what it counts */
  private readonly counts: Float64Array
  /** what one that isn't near costs; nothing until it is told */
  private price = 0

  constructor({ start }: WorkshopSchedule) {
    this.start = Int32Array.from(start)
    this.counts = Float64Array.from(start, (was) => (was < soon ? soonCounts : 1))
  }
  get isPriced(): boolean {
    return this.price > 0
  }
  /** By what the week costs. */
  priceBy(cost: number): void {
    this.price = (cost * share) / Math.max(1, this.start.length)
  }
  /** Of one step that begins at a minute; what is new is nowhere moved. */
  of(step: number, at: number): number {
    if (step >= this.start.length) return 0
    const was = this.start[step] ?? 0
    // nobody knew when
    if (was < 0) return 0
    const by = Math.abs(at - was)
    return by === 0 ? 0 : this.price * (this.counts[step] ?? 1) * (by <= slip ? slipCounts : 1)
  }
  ofAll(start: readonly number[]): number {
    return start.reduce((sum, at, step) => sum + (at === never ? 0 : this.of(step, at)), 0)
  }
}
