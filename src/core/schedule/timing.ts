/**
 * When everything begins, where it is known who works what after what: each step as early as its own follower, the brush, the booth,
 * the drying places and every window allow. What begins earlier than a window allows is pushed later, and all that follows with it, until
 * nothing moves: the earliest times there are for these rows. Minutes; pure.
 */
import { costOfEnd } from './bound'
import { type Calendar, never } from './calendar'
import type { WorkshopProblem, WorkStep } from './problem'
import { tailsOf } from './units'

/** How often each step may be pushed, on average, before its row is given up. */
const mostPushes = 8
/** How often something waits for a drying place. */
const mostWaits = 60
/** No most. */
const open = 0x3fffffff

/** What is timed. */
export interface Rows {
  /** steps in one order, in which most of them follow what they wait for; each worker's row is those of it that are theirs */
  order: readonly number[]
  /** who works each step, by index */
  by: Int32Array
  /** waits whose most may be missed, by index */
  given: Uint8Array
}

export class Timing {
  readonly start: Int32Array
  readonly end: Int32Array
  /** minutes from the start of each step to the end of its piece */
  private readonly tail: Int32Array
  private readonly steps: readonly WorkStep[]
  private readonly product: Int32Array
  private readonly finalOf: Int32Array
  private readonly pieceOf: Int32Array
  private readonly release: Int32Array
  /** waits, by index; those into and out of step k stand from place k to place k + 1 of the lists */
  private readonly from: Int32Array
  private readonly to: Int32Array
  private readonly min: Int32Array
  private readonly max: Int32Array
  private readonly into: Int32Array
  private readonly intoAt: Int32Array
  private readonly out: Int32Array
  private readonly outAt: Int32Array
  private readonly racks: Int32Array
  private readonly soft: Int32Array
  /** of this timing: no sooner than this, beside whom, at which place, to be looked at again */
  private readonly least: Int32Array
  private readonly before: Int32Array
  private readonly after: Int32Array
  private readonly wetBefore: Int32Array
  private readonly wetAfter: Int32Array
  private readonly sprayBefore: Int32Array
  private readonly sprayAfter: Int32Array
  private readonly place: Int32Array
  private readonly dirty: Uint8Array
  private readonly last: Int32Array
  private readonly lastWet: Int32Array
  /** by piece: no sooner does it end; and what it can't cost less than, from the first */
  private readonly pieceEnd: Int32Array
  private readonly firstEnd: Int32Array
  private readonly taken: Int16Array
  private readonly leastCost: number
  private cost = 0

  constructor(
    private readonly problem: WorkshopProblem,
    private readonly calendars: readonly Calendar[],
    earliestEnd: readonly number[],
  ) {
    const { steps, lags, pieces, painters } = problem
    const ints = (size = steps.length) => new Int32Array(size).fill(never)
    this.steps = steps
    this.from = Int32Array.from(lags, ({ from }) => from ?? never)
    this.to = Int32Array.from(lags, ({ to }) => to)
    this.min = Int32Array.from(lags, ({ min }) => min)
    this.max = Int32Array.from(lags, ({ max }) => max ?? open)
    ;[this.into, this.intoAt] = byStep(this.to, steps.length)
    ;[this.out, this.outAt] = byStep(this.from, steps.length)
    this.racks = indexOf(lags, ({ rack }) => rack)
    this.soft = indexOf(lags, ({ max, hard }) => max !== null && !hard)
    this.release = new Int32Array(steps.length)
    for (const { from, to, min } of lags) if (from === null) this.release[to] = Math.max(this.release[to] ?? 0, min)
    this.finalOf = ints()
    pieces.forEach(({ final }, piece) => (this.finalOf[final] = piece))
    this.pieceOf = Int32Array.from(steps, ({ piece }) => piece)
    this.tail = Int32Array.from(tailsOf(problem))
    const products = [...new Set(steps.map(({ product }) => product))].filter((each) => each !== null)
    this.product = Int32Array.from(steps, ({ product }) => (product === null ? never : products.indexOf(product)))
    ;[this.start, this.end, this.least, this.before, this.after] = [ints(), ints(), ints(), ints(), ints()]
    ;[this.wetBefore, this.wetAfter, this.sprayBefore, this.sprayAfter, this.place] = [ints(), ints(), ints(), ints(), ints()]
    this.dirty = new Uint8Array(steps.length)
    ;[this.last, this.lastWet] = [ints(painters.length), ints(painters.length)]
    this.firstEnd = Int32Array.from(pieces, ({ final }) => earliestEnd[final] ?? 0)
    this.pieceEnd = ints(pieces.length)
    this.leastCost = pieces.reduce((sum, _, piece) => sum + costOfEnd(problem, piece, this.firstEnd[piece] ?? 0), 0)
    this.taken = new Int16Array(Math.ceil(problem.horizon / problem.grid) + 2)
  }

  /** What rows cost when they are timed; infinite where they can't be, or where they cost more than `limit`. */
  time(rows: Rows, limit = Infinity): number {
    this.link(rows)
    this.start.fill(never)
    this.least.set(this.release)
    this.dirty.fill(1)
    this.pieceEnd.set(this.firstEnd)
    this.cost = this.leastCost
    let at = 0
    for (let wait = 0; wait <= mostWaits; wait += 1) {
      if (!this.settle(rows, at, limit)) return Infinity
      const pushed = this.waitForPlace()
      if (pushed === failed) return Infinity
      if (pushed === never) {
        const cost = this.cost + this.missed()
        return cost > limit ? Infinity : cost
      }
      at = this.place[pushed] ?? 0
    }
    return Infinity
  }

  private link({ order, by }: Rows): void {
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
      if (!this.steps[step]?.spray) continue
      const other = sprayed[sprayed.length - booths] ?? never
      this.sprayBefore[step] = other
      this.sprayAfter[step] = never
      if (other !== never) this.sprayAfter[other] = step
      sprayed.push(step)
    }
  }

  /** Pushes what is marked, and what follows from it, from one place of the order on; false where it can't be, or costs too much. */
  private settle({ order, by, given }: Rows, from: number, limit: number): boolean {
    const n = order.length
    let pushes = n * mostPushes
    let next = from
    while (next < n) {
      const step = order[next] ?? 0
      next += 1
      if (this.dirty[step] === 0) continue
      this.dirty[step] = 0
      const calendar = this.calendars[by[step] ?? 0]
      const facts = this.steps[step]
      if (!calendar || !facts) return false
      const start = calendar.nextStart(facts, this.readyAt(step))
      if (start === this.start[step]) continue
      pushes -= 1
      if (start === never || pushes < 0) return false
      const end = calendar.endOf(facts, start)
      this.start[step] = start
      this.end[step] = end
      const piece = this.pieceOf[step] ?? 0
      const ends = this.finalOf[step] === never ? start + (this.tail[step] ?? 0) : end
      const was = this.pieceEnd[piece] ?? 0
      if (ends > was) {
        this.pieceEnd[piece] = ends
        this.cost += costOfEnd(this.problem, piece, ends) - costOfEnd(this.problem, piece, was)
        if (this.cost > limit) return false
      }
      const earliest = this.mark(step, given)
      if (earliest === failed) return false
      if (earliest < next) next = earliest
    }
    return true
  }

  private readyAt(step: number): number {
    let at = this.least[step] ?? 0
    const until = this.intoAt[step + 1] ?? 0
    for (let k = this.intoAt[step] ?? 0; k < until; k += 1) {
      const lag = this.into[k] ?? 0
      const from = this.from[lag] ?? never
      if (from === never || this.start[from] === never) continue
      const ready = (this.end[from] ?? 0) + (this.min[lag] ?? 0)
      if (ready > at) at = ready
    }
    const before = this.before[step] ?? never
    if (before !== never && this.start[before] !== never && (this.end[before] ?? 0) > at) at = this.end[before] ?? 0
    if (this.product[step] !== never) {
      const wet = this.wetBefore[step] ?? never
      if (wet !== never && this.start[wet] !== never && this.product[wet] !== this.product[step]) {
        const clean = (this.end[wet] ?? 0) + this.problem.setup
        if (clean > at) at = clean
      }
    }
    if (this.steps[step]?.spray) {
      const spray = this.sprayBefore[step] ?? never
      if (spray !== never && this.start[spray] !== never && (this.end[spray] ?? 0) > at) at = this.end[spray] ?? 0
    }
    const { grid } = this.problem
    return Math.ceil(at / grid) * grid
  }

  /** Marks what a step that was pushed pushes; answers with the earliest place in the order that is marked. */
  private mark(step: number, given: Uint8Array): number {
    const [start, end] = [this.start[step] ?? 0, this.end[step] ?? 0]
    let earliest = this.dirty.length
    const outs = this.outAt[step + 1] ?? 0
    for (let k = this.outAt[step] ?? 0; k < outs; k += 1) {
      const lag = this.out[k] ?? 0
      earliest = this.push(this.to[lag] ?? 0, end + (this.min[lag] ?? 0), earliest)
    }
    const after = this.after[step] ?? never
    if (after !== never) earliest = this.push(after, end, earliest)
    if (this.product[step] !== never) {
      const wet = this.wetAfter[step] ?? never
      if (wet !== never && this.product[wet] !== this.product[step]) earliest = this.push(wet, end + this.problem.setup, earliest)
    }
    if (this.steps[step]?.spray) {
      const spray = this.sprayAfter[step] ?? never
      if (spray !== never) earliest = this.push(spray, end, earliest)
    }
    const intos = this.intoAt[step + 1] ?? 0
    for (let k = this.intoAt[step] ?? 0; k < intos; k += 1) {
      const lag = this.into[k] ?? 0
      const max = this.max[lag] ?? open
      if (max === open || given[lag]) continue
      const from = this.from[lag] ?? never
      if (from === never) {
        if (start > max) return failed
        continue
      }
      if (this.start[from] === never) continue
      const over = start - max - (this.end[from] ?? 0)
      if (over <= 0) continue
      const since = (this.start[from] ?? 0) + over
      if (since > (this.least[from] ?? 0)) this.least[from] = since
      earliest = this.push(from, since, earliest)
    }
    return earliest
  }
  private push(step: number, at: number, earliest: number): number {
    const start = this.start[step] ?? never
    if (start !== never && start >= at) return earliest
    this.dirty[step] = 1
    const place = this.place[step] ?? 0
    return place < earliest ? place : earliest
  }

  /** What the windows cost that are missed. */
  private missed(): number {
    let sum = 0
    for (const lag of this.soft) if (this.isMissed(lag)) sum += this.problem.lags[lag]?.penalty ?? 0
    return sum
  }
  /** Whether a wait's most is broken as it lies. */
  isMissed(lag: number): boolean {
    const from = this.from[lag] ?? never
    return (this.start[this.to[lag] ?? 0] ?? 0) - (from === never ? 0 : (this.end[from] ?? 0)) > (this.max[lag] ?? open)
  }

  /** Where too much dries at once, what comes last to it is made to wait; answers with it, with {@link never} where all have a place. */
  private waitForPlace(): number {
    const { grid, pools } = this.problem
    const { taken, racks } = this
    if (racks.length <= pools.rack) return never
    taken.fill(0)
    for (const lag of racks) {
      const since = Math.ceil(this.dryFrom(lag) / grid)
      const until = Math.ceil((this.start[this.to[lag] ?? 0] ?? 0) / grid)
      if (since >= until) continue
      taken[since] = (taken[since] ?? 0) + 1
      taken[until] = (taken[until] ?? 0) - 1
    }
    let [held, slot] = [0, 0]
    for (; slot < taken.length; slot += 1) {
      held += taken[slot] ?? 0
      if (held > pools.rack) break
    }
    if (slot === taken.length) return never
    const full = slot * grid
    let [last, since, free] = [never, -1, Infinity]
    for (const lag of racks) {
      const [begun, over] = [this.dryFrom(lag), this.start[this.to[lag] ?? 0] ?? 0]
      if (begun > full || over <= full) continue
      if (over < free) free = over
      const from = this.from[lag] ?? never
      if (from === never || begun <= since) continue
      ;[last, since] = [from, begun]
    }
    if (last === never || free <= since) return failed
    this.least[last] = Math.max(this.least[last] ?? 0, (this.start[last] ?? 0) + free - since)
    this.dirty[last] = 1
    return last
  }
  private dryFrom(lag: number): number {
    const from = this.from[lag] ?? never
    return from === never ? 0 : (this.end[from] ?? 0)
  }
}

/** It can't be. */
const failed = -2

/** Indices of waits by a step they touch: a list, and by step the place where its own begin. */
function byStep(step: Int32Array, count: number): [Int32Array, Int32Array] {
  const lists: number[][] = Array.from({ length: count }, () => [])
  step.forEach((k, lag) => lists[k]?.push(lag))
  const at = new Int32Array(count + 1)
  lists.forEach((list, k) => (at[k + 1] = (at[k] ?? 0) + list.length))
  return [Int32Array.from(lists.flat()), at]
}
const indexOf = <T>(all: readonly T[], asked: (each: T) => boolean): Int32Array =>
  Int32Array.from(all.flatMap((each, k) => (asked(each) ? [k] : [])))
