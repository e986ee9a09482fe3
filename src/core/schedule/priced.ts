/**
 * The week with hands, drying places and the booth for hire: nobody need share them, but each slot of each has a price. What is left are
 * trees of waits, one a piece, whose cheapest starts are found step by step, exactly. At whatever prices, what that costs less what the
 * slots themselves would bring in is no more than any week costs. Slots of the grid; pure.
 */
import { costOfEnd, type Earliest } from './bound'
import { never } from './calendar'
import { latestEnds, treeOf } from './priceTree'
import { isFirm, type Lag, type WorkshopProblem } from './problem'
import { firstFrom, type Starts, startsOf } from './starts'

/** What can be hired: of each how many there are, whether at all in a slot, and what a slot of it costs. */
export interface Hired {
  many: number
  open: Uint8Array | null
  price: Float64Array
  /** of all slots before */
  before: Float64Array
}
/** A wait that is kept, and for each start of the step it ends in the start of the step it begins in. */
interface Branch {
  lag: Lag
  chosen: Int32Array
}

export class PricedWeek {
  readonly slots: number
  readonly hands: Hired[]
  readonly places: Hired
  readonly booth: Hired
  /** what a step costs with all before it, for each of its starts from `low` to before `high` */
  private readonly starts: Starts[]
  private readonly low: Int32Array
  private readonly worth: Float64Array[]
  private readonly branches: Branch[][]
  private readonly roots: readonly number[]
  private readonly final: Int32Array
  /** the start that came out cheapest, by step */
  private readonly at: Int32Array
  private readonly queue: Int32Array
  private readonly prices: Float64Array

  /** No piece need end so late that it alone brings the week to cost more than `limit`; `load`: how much of the hands a step takes meanwhile. */
  constructor(
    private readonly problem: WorkshopProblem,
    private readonly earliest: Earliest,
    limit: number,
    private readonly load: readonly number[] = problem.steps.map(() => 1),
  ) {
    const { steps, grid, horizon, painters, pieces, pools } = problem
    const until = latestEnds(problem, earliest, limit)
    const last = Math.min(horizon, Math.max(0, ...until))
    this.slots = Math.ceil(last / grid) + 1
    const hired = (many: number, open: Uint8Array | null = null): Hired => {
      return { many, open, price: new Float64Array(this.slots), before: new Float64Array(this.slots + 1) }
    }
    this.hands = painters.map(({ work }) => {
      const open = new Uint8Array(this.slots)
      for (const [from, to] of work) open.fill(1, Math.ceil(from / grid), Math.min(this.slots, Math.ceil(to / grid)))
      return hired(1, open)
    })
    this.places = hired(pools.rack)
    this.booth = hired(pools.spray)
    this.final = new Int32Array(steps.length).fill(never)
    pieces.forEach(({ final }, piece) => (this.final[final] = piece))
    this.starts = startsOf(problem, earliest.calendars, last)
    this.low = Int32Array.from(this.starts, (each, step) => firstFrom(each, Math.floor(this.soonest(step) / grid)))
    this.worth = this.starts.map((each, step) => {
      const high = firstFrom(each, Math.ceil((until[step] ?? horizon) / grid) + 1)
      return new Float64Array(Math.max(1, high - (this.low[step] ?? 0)))
    })
    const kept = treeOf(problem)
    this.branches = steps.map((_, step) =>
      kept.filter(({ to }) => to === step).map((lag) => ({ lag, chosen: new Int32Array(this.worth[step]?.length ?? 0) })),
    )
    const goesOn = new Set(kept.map(({ from }) => from))
    this.roots = steps.flatMap((_, step) => (goesOn.has(step) ? [] : [step]))
    this.at = new Int32Array(steps.length)
    const most = Math.max(0, ...this.starts.map(({ start }) => start.length))
    this.queue = new Int32Array(most)
    this.prices = new Float64Array(most + 1)
  }

  /** How many starts are looked at. */
  get size(): number {
    return this.worth.reduce((sum, { length }) => sum + length, 0)
  }
  get hires(): Hired[] {
    return [...this.hands, this.places, this.booth]
  }
  private soonest(step: number): number {
    const { dur = 0, split = false } = this.problem.steps[step] ?? {}
    return split ? 0 : (this.earliest.end[step] ?? 0) - dur
  }

  /** The least that any week costs, as far as these prices show it; -Infinity where a step has no start left. */
  least(): number {
    let sum = 0
    for (const { many, price, before } of this.hires) {
      let paid = 0
      for (let slot = 0; slot < price.length; slot += 1) {
        before[slot] = paid
        paid += price[slot] ?? 0
      }
      before[price.length] = paid
      sum -= many * paid
    }
    for (const step of this.earliest.order) this.price(step)
    for (const root of this.roots) {
      const worth = this.worth[root] ?? none
      let best = 0
      for (let k = 1; k < worth.length; k += 1) if ((worth[k] ?? 0) < (worth[best] ?? 0)) best = k
      sum += worth[best] ?? 0
      this.choose(root, best)
    }
    return sum < Infinity ? sum : -Infinity
  }

  private price(step: number): void {
    const { start, end, by } = this.starts[step] ?? noStarts
    const low = this.low[step] ?? 0
    const worth = this.worth[step] ?? none
    const piece = this.final[step] ?? never
    const spray = this.problem.steps[step]?.spray ?? false
    const { grid } = this.problem
    const load = this.load[step] ?? 1
    const [first = 0, another] = this.problem.steps[step]?.painters ?? []
    const only = another === undefined ? (this.hands[first]?.before ?? none) : null
    for (let k = 0; k < worth.length; k += 1) {
      const from = start[low + k] ?? 0
      const to = end[low + k] ?? 0
      const before = only ?? this.hands[by[low + k] ?? 0]?.before ?? none
      let sum = low + k < start.length ? load * ((before[to] ?? 0) - (before[from] ?? 0)) : Infinity
      if (spray) sum += (this.booth.before[to] ?? 0) - (this.booth.before[from] ?? 0)
      if (piece !== never) sum += costOfEnd(this.problem, piece, to * grid)
      worth[k] = sum
    }
    for (const branch of this.branches[step] ?? []) this.wait(step, branch)
  }
  /** Adds to each start of a step what what it waits for costs at the cheapest. */
  private wait(step: number, { lag, chosen }: Branch): void {
    const { grid } = this.problem
    const { start } = this.starts[step] ?? noStarts
    const low = this.low[step] ?? 0
    const worth = this.worth[step] ?? none
    const held = lag.rack ? this.places.before : null
    const min = Math.ceil(lag.min / grid)
    const max = lag.max === null ? this.slots * 2 : Math.floor(lag.max / grid)
    const miss = isFirm(lag) ? Infinity : lag.penalty
    if (lag.from === null) {
      for (let k = 0; k < worth.length; k += 1) {
        const at = start[low + k] ?? 0
        worth[k] = (worth[k] ?? 0) + (at < min ? Infinity : (at > max ? miss : 0) + (held?.[at] ?? 0))
      }
      return
    }
    const { end, byEnd } = this.starts[lag.from] ?? noStarts
    const lowFrom = this.low[lag.from] ?? 0
    const worthFrom = this.worth[lag.from] ?? none
    const { queue, prices } = this
    for (let each = 0; each < worthFrom.length; each += 1)
      prices[each] = held ? (worthFrom[each] ?? 0) - (held[end[lowFrom + each] ?? 0] ?? 0) : (worthFrom[each] ?? 0)
    let [next, first, last] = [byEnd ? 0 : lowFrom, 0, 0]
    let [least, leastAt] = [Infinity, 0]
    for (let k = 0; k < worth.length; k += 1) {
      const at = start[low + k] ?? 0
      for (; next < end.length; next += 1) {
        const nth = byEnd ? (byEnd[next] ?? 0) : next
        if ((end[nth] ?? 0) + min > at) break
        const each = nth - lowFrom
        if (each < 0 || each >= worthFrom.length) continue
        const price = prices[each] ?? 0
        if (price < least) {
          least = price
          leastAt = each
        }
        if (lag.max === null) continue
        while (last > first && (prices[queue[last - 1] ?? 0] ?? 0) >= price) last -= 1
        queue[last] = each
        last += 1
      }
      while (first < last && (end[lowFrom + (queue[first] ?? 0)] ?? 0) < at - max) first += 1
      let price = lag.max === null ? least : least + miss
      let from = leastAt
      if (first < last) {
        const inTime = queue[first] ?? 0
        const its = prices[inTime] ?? 0
        if (its <= price) {
          price = its
          from = inTime
        }
      }
      worth[k] = (worth[k] ?? 0) + price + (held?.[at] ?? 0)
      chosen[k] = from
    }
  }
  private choose(step: number, start: number): void {
    this.at[step] = start
    for (const { lag, chosen } of this.branches[step] ?? []) if (lag.from !== null) this.choose(lag.from, chosen[start] ?? 0)
  }

  /** By how much more of each is hired than there is, in every slot of the week that came out cheapest; in the order of {@link hires}. */
  overdrawn(into: readonly Float64Array[]): void {
    const { steps } = this.problem
    this.hires.forEach(({ many, open }, k) => {
      const over = into[k]
      if (!over) return
      over.fill(-many)
      if (open) for (let slot = 0; slot < over.length; slot += 1) if (open[slot] === 0) over[slot] = 0
    })
    const [places, booth] = [into[this.hands.length], into[this.hands.length + 1]]
    steps.forEach(({ spray }, step) => {
      const { start, end, by } = this.starts[step] ?? noStarts
      const at = (this.low[step] ?? 0) + (this.at[step] ?? 0)
      const [from, to, who] = [start[at] ?? 0, end[at] ?? 0, by[at] ?? 0]
      const open = this.hands[who]?.open
      for (let slot = from; slot < to; slot += 1) {
        if (open?.[slot]) more(into[who], slot, this.load[step])
        if (spray) more(booth, slot)
      }
      for (const { lag } of this.branches[step] ?? []) {
        if (!lag.rack) continue
        const since = lag.from === null ? 0 : this.endOf(lag.from)
        for (let slot = since; slot < from; slot += 1) more(places, slot)
      }
    })
  }
  private endOf(step: number): number {
    return this.starts[step]?.end[(this.low[step] ?? 0) + (this.at[step] ?? 0)] ?? 0
  }
}

const none = new Float64Array(0)
const noStarts: Starts = { start: new Int32Array(0), end: new Int32Array(0), by: new Uint8Array(0), byEnd: null }
function more(over: Float64Array | undefined, slot: number, by = 1): void {
  if (over) over[slot] = (over[slot] ?? 0) + by
}
