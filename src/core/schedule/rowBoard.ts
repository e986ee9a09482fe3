/**
 * Steps put down one chain after the other and taken up again in reverse: each as early as may be, none so early that a follower would miss
 * its window. Flat lists, for what is laid very often. Minutes; pure.
 */
import { type Calendar, never } from './calendar'
import { Hands } from './hands'
import { Memory } from './memory'
import type { Fit } from './pins'
import { ruin, type WorkshopProblem } from './problem'
import { roomFor, type RowTable } from './rowTable'
import { open } from './waitTable'

/** How often a chain is tried later before it is given up. */
const mostTries = 200

export class RowBoard {
  readonly start: Int32Array
  readonly end: Int32Array
  readonly by: Int32Array
  /** where a step stays if it can, and by whom; {@link never} where it comes as early as it may */
  protected readonly was: Int32Array
  protected readonly wasBy: Int32Array
  private readonly hands: Hands[]
  private readonly booth: Hands
  private readonly pinned: Uint8Array
  /** the place that was found last */
  private fitStart = never
  private fitEnd = never
  private fitBy = never
  /** when the step ends that {@link fitOn} found a start for */
  private foundEnd = never

  protected readonly table: RowTable
  /** all that changes as steps are put down and taken up */
  readonly memory: Memory
  private readonly calendars: readonly Calendar[]

  constructor(
    protected readonly problem: WorkshopProblem,
    { table, calendars, pins }: { table: RowTable; calendars: readonly Calendar[]; pins: ReadonlyMap<number, Fit> },
  ) {
    const { steps, painters } = problem
    this.memory = new Memory(roomFor(problem, table.units.length))
    this.table = table
    this.calendars = calendars
    const many = steps.length
    const list = () => this.memory.list(many).fill(never)
    ;[this.start, this.end, this.by] = [list(), list(), list()]
    this.was = new Int32Array(many).fill(never)
    this.wasBy = new Int32Array(many).fill(never)
    this.hands = painters.map(() => new Hands(many, this.memory))
    this.booth = new Hands(many, this.memory)
    this.pinned = new Uint8Array(many)
    // what is pinned lies there before all else
    for (const [step, { start, end, by }] of pins) {
      this.fitStart = start
      this.fitEnd = end
      this.fitBy = by
      this.put(step)
      this.pinned[step] = 1
    }
  }

  private put(step: number): void {
    this.start[step] = this.fitStart
    this.end[step] = this.fitEnd
    this.by[step] = this.fitBy
    this.hands[this.fitBy]?.put(step, this.fitStart, this.fitEnd)
    if (this.table.spray[step] === 1) this.booth.put(step, this.fitStart, this.fitEnd)
  }
  private takeUp(step: number): void {
    if (this.pinned[step] === 1 || this.start[step] === never) return
    this.hands[this.by[step] ?? 0]?.take(step)
    if (this.table.spray[step] === 1) this.booth.take(step)
    this.start[step] = never
    this.end[step] = never
  }
  /** From one place of the list of steps to another. */
  protected takeSteps(from: number, until: number): void {
    for (let at = until - 1; at >= from; at -= 1) this.takeUp(this.table.step[at] ?? 0)
  }
  /** Puts a step down where it fits first, or finds it where it is pinned; false where it can't be there. */
  private putDown(step: number, minute: number): boolean {
    if (this.pinned[step] === 1) return (this.start[step] ?? never) >= minute
    if (!this.fitAsItWas(step, minute) && !this.fit(step, minute, open)) return false
    this.put(step)
    return true
  }

  /** By all that it waits for and that is laid. */
  protected readyAt(step: number): number {
    const { waits } = this.table
    let ready = waits.release[step] ?? 0
    const until = waits.intoAt[step + 1] ?? 0
    for (let k = waits.intoAt[step] ?? 0; k < until; k += 1) {
      const lag = waits.into[k] ?? 0
      const from = waits.from[lag] ?? never
      if (from === never || this.start[from] === never) continue
      const at = (this.end[from] ?? 0) + (waits.min[lag] ?? 0)
      if (at > ready) ready = at
    }
    return ready
  }

  /** Steps from one place of the list to before another, the first at a minute or as soon after it as all of them hold; none where none do. */
  protected layChain(at: number, until: number, minute: number): boolean {
    const { step: steps, link: links, waits } = this.table
    const step = steps[at] ?? 0
    const link = links[at] ?? never
    const soft = link !== never && waits.firm[link] === 0
    let soonest = never
    let ready = minute
    for (let tries = 0; tries < mostTries; tries += 1) {
      if (!this.putDown(step, ready)) break
      if (link === never) return true
      const end = this.end[step] ?? 0
      const start = this.start[step] ?? 0
      if (soonest === never) soonest = end
      // so late it costs more than the window that it would keep
      const gives = soft && end - soonest > (waits.penalty[link] ?? 0) % ruin
      if (!this.layChain(at + 1, until, this.followed(at, end + (waits.min[link] ?? 0)))) {
        // so late there is no room for the rest any more: sooner there was, the window missed
        if (soft && tries > 0) break
        this.takeUp(step)
        return false
      }
      const over = (this.start[steps[at + 1] ?? 0] ?? 0) - end - (waits.max[link] ?? open)
      if (over <= 0) return true
      if (gives) break
      this.takeSteps(at, until)
      ready = start + Math.max(over, this.problem.grid)
    }
    this.takeSteps(at, until)
    if (!soft || !this.putDown(step, minute)) return false
    // as early as may be, the window after it missed
    if (this.layChain(at + 1, until, this.followed(at, (this.end[step] ?? 0) + (waits.min[link] ?? 0)))) return true
    this.takeUp(step)
    return false
  }
  private followed(at: number, minute: number): number {
    return Math.max(minute, this.readyAt(this.table.step[at + 1] ?? 0))
  }

  private fitAsItWas(step: number, minute: number): boolean {
    const was = this.was[step] ?? never
    if (was === never || was < minute) return false
    const by = this.wasBy[step] ?? 0
    if (this.ruinsAt(step, was) || this.fitOn(step, by, was, was) !== was) return false
    this.fitStart = was
    this.fitEnd = this.foundEnd
    this.fitBy = by
    return true
  }
  /** Whether a window that ruins a coat is over by then. */
  private ruinsAt(step: number, minute: number): boolean {
    const { waits } = this.table
    const until = waits.intoAt[step + 1] ?? 0
    for (let k = waits.intoAt[step] ?? 0; k < until; k += 1) {
      const lag = waits.into[k] ?? 0
      if (waits.firm[lag] === 0) continue
      const from = waits.from[lag] ?? never
      if (from !== never && this.start[from] === never) continue
      if (minute - (from === never ? 0 : (this.end[from] ?? 0)) > (waits.max[lag] ?? open)) return true
    }
    return false
  }
  /** Where a step can be worked first, at or after a minute, by whoever has done it soonest; false where nobody can by `latest`. */
  private fit(step: number, minute: number, latest: number): boolean {
    const { by: all, byAt } = this.table
    const until = byAt[step + 1] ?? 0
    let least = latest
    let found = false
    for (let k = byAt[step] ?? 0; k < until; k += 1) {
      const by = all[k] ?? 0
      const start = this.fitOn(step, by, minute, least)
      if (start === never) continue
      const end = this.foundEnd
      if (found && (end > this.fitEnd || (end === this.fitEnd && start <= this.fitStart))) continue
      this.fitStart = start
      this.fitEnd = end
      this.fitBy = by
      found = true
      if (end < least) least = end
    }
    return found
  }
  private fitOn(step: number, by: number, minute: number, latest: number): number {
    const calendar = this.calendars[by]
    const hands = this.hands[by]
    if (!calendar || !hands) return never
    const { grid } = this.problem
    const dur = this.table.dur[step] ?? 0
    const split = this.table.split[step] === 1
    const product = this.table.product[step] ?? 0
    const { start: starts, end: ends, count } = hands
    let at = Math.ceil(minute / grid) * grid
    let next = hands.firstEndingAfter(at)
    for (;;) {
      at = calendar.nextStartOf(dur, split, at)
      if (at === never || at > latest) return never
      const end = calendar.ends
      while (next < count && (ends[next] ?? 0) <= at) next += 1
      if (next < count && (starts[next] ?? 0) < end) {
        // on to the first gap that is long enough
        do at = ends[next++] ?? at
        while (next < count && (starts[next] ?? 0) - at < dur)
        continue
      }
      let later = product > 0 ? this.brushClash(hands, next, product, at, end) : never
      if (later === never && this.table.spray[step] === 1) later = this.boothClash(at, end)
      if (later === never) {
        this.foundEnd = end
        return at
      }
      at = later
    }
  }
  /** Another product before or after it, with no time to clean the brush: when to try next; {@link never} where there is time. */
  private brushClash(hands: Hands, next: number, product: number, start: number, end: number): number {
    const { setup, grid } = this.problem
    const products = this.table.product
    for (let k = next - 1; k >= 0; k -= 1) {
      const free = (hands.end[k] ?? 0) + setup
      // what lies longer before leaves time for anything
      if (free <= start) break
      const other = products[hands.step[k] ?? 0] ?? 0
      if (other === 0) continue
      if (other !== product) return Math.ceil(free / grid) * grid
      break
    }
    for (let k = next; k < hands.count && (hands.start[k] ?? 0) < end + setup; k += 1) {
      const other = products[hands.step[k] ?? 0] ?? 0
      if (other === 0) continue
      // it fits no gap before what is worked next
      if (other !== product) return hands.end[next] ?? never
      break
    }
    return never
  }
  private boothClash(start: number, end: number): number {
    const { booth } = this
    let [over, soonest] = [0, open]
    for (let k = booth.firstEndingAfter(start); k < booth.count; k += 1) {
      if ((booth.start[k] ?? 0) >= end) break
      over += 1
      soonest = Math.min(soonest, booth.end[k] ?? open)
    }
    return over >= this.problem.pools.spray ? soonest : never
  }
}
