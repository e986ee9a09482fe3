/**
 * When everything begins, where it is known who works what after what: each step as early as its own follower, the brush, the booth,
 * the drying places and every window allow. What begins earlier than a window allows is pushed later, and all that follows with it, until
 * nothing moves: the earliest times there are for these rows. Minutes; pure.
 */
import { costOfEnd } from './bound'
import { type Calendar, never } from './calendar'
import { DryingPlaces } from './dryingPlaces'
import type { WorkshopProblem, WorkStep } from './problem'
import { RowLinks, type Rows } from './rowLinks'
import { tailsOf } from './units'
import { open, WaitTable } from './waitTable'

/** How often each step may be pushed, on average, before its row is given up. */
const mostPushes = 8
/** How often something waits for a drying place. */
const mostWaits = 60

export class Timing {
  readonly start: Int32Array
  readonly end: Int32Array
  /** minutes from the start of each step to the end of its piece */
  private readonly tail: Int32Array
  private readonly steps: readonly WorkStep[]
  private readonly product: Int32Array
  private readonly finalOf: Int32Array
  private readonly pieceOf: Int32Array
  private readonly waits: WaitTable
  /** of this timing: no sooner than this, beside whom, at which place, to be looked at again */
  private readonly least: Int32Array
  private readonly links: RowLinks
  private readonly dirty: Uint8Array
  /** by piece: no sooner does it end; and what it can't cost less than, from the first */
  private readonly pieceEnd: Int32Array
  private readonly firstEnd: Int32Array
  private readonly places: DryingPlaces
  private readonly leastCost: number
  private cost = 0

  constructor(
    private readonly problem: WorkshopProblem,
    private readonly calendars: readonly Calendar[],
    earliestEnd: readonly number[],
  ) {
    const { steps, pieces } = problem
    const ints = (size = steps.length) => new Int32Array(size).fill(never)
    this.steps = steps
    this.waits = new WaitTable(problem)
    this.finalOf = ints()
    pieces.forEach(({ final }, piece) => (this.finalOf[final] = piece))
    this.pieceOf = Int32Array.from(steps, ({ piece }) => piece)
    this.tail = Int32Array.from(tailsOf(problem))
    const products = [...new Set(steps.map(({ product }) => product))].filter((each) => each !== null)
    this.product = Int32Array.from(steps, ({ product }) => (product === null ? never : products.indexOf(product)))
    ;[this.start, this.end, this.least] = [ints(), ints(), ints()]
    this.dirty = new Uint8Array(steps.length)
    this.links = new RowLinks(problem, this.product)
    this.firstEnd = Int32Array.from(pieces, ({ final }) => earliestEnd[final] ?? 0)
    this.pieceEnd = ints(pieces.length)
    this.leastCost = pieces.reduce((sum, _, piece) => sum + costOfEnd(problem, piece, this.firstEnd[piece] ?? 0), 0)
    this.places = new DryingPlaces(problem, this.waits)
  }

  /** What rows cost when they are timed; infinite where they can't be, or where they cost more than `limit`. */
  time(rows: Rows, limit = Infinity): number {
    this.links.link(rows)
    this.start.fill(never)
    this.least.set(this.waits.release)
    this.dirty.fill(1)
    this.pieceEnd.set(this.firstEnd)
    this.cost = this.leastCost
    let at = 0
    for (let wait = 0; wait <= mostWaits; wait += 1) {
      if (!this.settle(rows, at, limit)) return Infinity
      const over = this.places.over(this.start, this.end)
      if (!over) {
        const cost = this.cost + this.missed()
        return cost > limit ? Infinity : cost
      }
      if (over.step === never) return Infinity
      this.least[over.step] = Math.max(this.least[over.step] ?? 0, (this.start[over.step] ?? 0) + over.by)
      this.dirty[over.step] = 1
      at = this.links.place[over.step] ?? 0
    }
    return Infinity
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
    const until = this.waits.intoAt[step + 1] ?? 0
    for (let k = this.waits.intoAt[step] ?? 0; k < until; k += 1) {
      const lag = this.waits.into[k] ?? 0
      const from = this.waits.from[lag] ?? never
      if (from === never || this.start[from] === never) continue
      const ready = (this.end[from] ?? 0) + (this.waits.min[lag] ?? 0)
      if (ready > at) at = ready
    }
    const before = this.links.before[step] ?? never
    if (before !== never && this.start[before] !== never && (this.end[before] ?? 0) > at) at = this.end[before] ?? 0
    if (this.product[step] !== never) {
      const wet = this.links.wetBefore[step] ?? never
      if (wet !== never && this.start[wet] !== never && this.product[wet] !== this.product[step]) {
        const clean = (this.end[wet] ?? 0) + this.problem.setup
        if (clean > at) at = clean
      }
    }
    if (this.steps[step]?.spray) {
      const spray = this.links.sprayBefore[step] ?? never
      if (spray !== never && this.start[spray] !== never && (this.end[spray] ?? 0) > at) at = this.end[spray] ?? 0
    }
    const { grid } = this.problem
    return Math.ceil(at / grid) * grid
  }

  /** Marks what a step that was pushed pushes; answers with the earliest place in the order that is marked. */
  private mark(step: number, given: Uint8Array): number {
    const [start, end] = [this.start[step] ?? 0, this.end[step] ?? 0]
    let earliest = this.dirty.length
    const outs = this.waits.outAt[step + 1] ?? 0
    for (let k = this.waits.outAt[step] ?? 0; k < outs; k += 1) {
      const lag = this.waits.out[k] ?? 0
      earliest = this.push(this.waits.to[lag] ?? 0, end + (this.waits.min[lag] ?? 0), earliest)
    }
    const after = this.links.after[step] ?? never
    if (after !== never) earliest = this.push(after, end, earliest)
    if (this.product[step] !== never) {
      const wet = this.links.wetAfter[step] ?? never
      if (wet !== never && this.product[wet] !== this.product[step]) earliest = this.push(wet, end + this.problem.setup, earliest)
    }
    if (this.steps[step]?.spray) {
      const spray = this.links.sprayAfter[step] ?? never
      if (spray !== never) earliest = this.push(spray, end, earliest)
    }
    const intos = this.waits.intoAt[step + 1] ?? 0
    for (let k = this.waits.intoAt[step] ?? 0; k < intos; k += 1) {
      const lag = this.waits.into[k] ?? 0
      const max = this.waits.max[lag] ?? open
      if (max === open || given[lag]) continue
      const from = this.waits.from[lag] ?? never
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
    const place = this.links.place[step] ?? 0
    return place < earliest ? place : earliest
  }

  /** What the windows cost that are missed. */
  private missed(): number {
    let sum = 0
    for (const lag of this.waits.soft) if (this.isMissed(lag)) sum += this.problem.lags[lag]?.penalty ?? 0
    return sum
  }
  /** Whether a wait's most is broken as it lies. */
  isMissed(lag: number): boolean {
    const from = this.waits.from[lag] ?? never
    return (
      (this.start[this.waits.to[lag] ?? 0] ?? 0) - (from === never ? 0 : (this.end[from] ?? 0)) > (this.waits.max[lag] ?? open)
    )
  }
}

/** It can't be. */
const failed = -2
