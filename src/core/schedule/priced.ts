/**
 * The week with hands, drying places and the booth for hire: nobody need share them, but each slot of each has a price. What is left are
 * trees of waits, one a piece, whose cheapest starts are found step by step, exactly. At whatever prices, what that costs less what the
 * slots themselves would bring in is no more than any week costs. Slots of the grid; pure.
 */
import { costOfEnd, type Earliest } from './bound'
import { type HandsCost, type Hired, priceHands } from './hired'
import { addWait, type Branch, branchOf, type Own, type Room } from './pricedWait'
import { latestEnds, mostOfEach, treeOf } from './priceTree'
import { isFirm, type Lag, type WorkshopProblem } from './problem'
import { firstOver, lastUntil, type StartsByHands, within } from './starts'

const none = new Float64Array(0)
const isBranch = (lag: Lag): lag is Branch['lag'] => lag.from !== null

/** What is alike in all weeks of slots so long. */
export interface InSlots {
  problem: WorkshopProblem
  earliest: Earliest
  /** by step */
  starts: readonly StartsByHands[]
  /** by step: how much of the hands it takes meanwhile */
  load: readonly number[]
  /** minutes; nothing is looked at after it */
  last: number
}
export class PricedWeek {
  readonly hands: Hired[]
  readonly places: Hired
  readonly booth: Hired
  private readonly slots: number
  /** what hands cost from each start to its end, and whose are the cheapest; alike steps share them */
  private readonly handsOf = new Map<StartsByHands, HandsCost>()
  private readonly tree: readonly Lag[]
  private readonly roots: readonly number[]
  /** by piece: the step that has the whole of its tree before it */
  private readonly rootOf: readonly number[]
  /** what a tree costs at the cheapest, by its root; the start that came out cheapest, by step */
  private readonly cheapest: Float64Array
  private readonly at: Int32Array
  /** what dries already, by the step that takes it up */
  private readonly dries: Int32Array
  private own: Own[] = []
  /** what each start costs by itself, by step: its piece ends then, or what was begun before the week waited so long */
  private fixed: (Float64Array | null)[] = []
  private branches: Branch[][] = []
  private room: Room = { queue: new Int32Array(0), prices: none }
  /** by piece: no later end is looked at, in minutes; what a week costs at the least in which it ends later */
  ends: readonly number[] = []
  private beyond: readonly number[] = []

  /** {@link fit} comes before anything else. */
  constructor(private readonly all: InSlots) {
    const { problem, last } = all
    const { steps, grid, painters, pieces, pools } = problem
    this.slots = Math.ceil(last / grid) + 1
    const hired = (many: number, open: Uint8Array | null = null): Hired => {
      return { many, open, price: new Float64Array(this.slots), before: new Float64Array(this.slots + 1) }
    }
    this.hands = painters.map(({ work }) => {
      const open = new Uint8Array(this.slots)
      for (const [from, to] of work) open.fill(1, Math.ceil(from / grid), Math.min(this.slots, Math.ceil(to / grid)))
      return hired(1, open)
    })
    for (const each of all.starts) {
      const { length } = each.start
      if (!this.handsOf.has(each)) this.handsOf.set(each, { cost: new Float64Array(length), by: new Uint8Array(length) })
    }
    this.places = hired(pools.rack)
    this.booth = hired(pools.spray)
    this.tree = treeOf(problem)
    this.dries = new Int32Array(steps.length)
    for (const { from, to, rack } of this.tree) if (from === null && rack) this.dries[to] = (this.dries[to] ?? 0) + 1
    const goesTo = new Map(this.tree.map(({ from, to }) => [from, to]))
    this.roots = steps.flatMap((_, step) => (goesTo.has(step) ? [] : [step]))
    this.rootOf = pieces.map(({ final }) => {
      let root = final
      for (let next: number | undefined = root; next !== undefined; next = goesTo.get(root)) root = next
      return root
    })
    this.cheapest = new Float64Array(steps.length)
    this.at = new Int32Array(steps.length)
  }
  /** No piece is looked at that ends later than so, in minutes. */
  fit(ends: readonly number[]): this {
    const { problem, earliest, starts } = this.all
    const { steps, grid, horizon, pieces } = problem
    const until = latestEnds(problem, earliest, starts, { ends, tree: this.tree })
    this.own = starts.map((each, step) => {
      const low = firstOver(each, Math.floor((earliest.end[step] ?? 0) / grid))
      const high = lastUntil(each, Math.ceil((until[step] ?? horizon) / grid)) + 1
      return this.ownOf(each, low, Math.max(low, high))
    })
    this.fixed = steps.map(() => null)
    pieces.forEach(({ final }, piece) => {
      this.fixed[final] = Float64Array.from(this.own[final]?.end ?? [], (slot) => costOfEnd(problem, piece, slot * grid))
    })
    this.branches = steps.map(() => [])
    for (const lag of this.tree) {
      const [from, to] = [lag.from === null ? undefined : this.own[lag.from], this.own[lag.to]]
      if (!isBranch(lag)) this.addFixed(lag)
      else if (from && to) this.branches[lag.to]?.push(branchOf(lag, from, to, grid))
    }
    const most = Math.max(0, ...this.own.map(({ worth }) => worth.length))
    this.room = { queue: new Int32Array(most), prices: new Float64Array(most) }
    this.ends = ends
    const spare = mostOfEach(problem, earliest, 0)
    this.beyond = ends.map((end, piece) => costOfEnd(problem, piece, end + 1) - (spare[piece] ?? 0))
    return this
  }
  private ownOf(each: StartsByHands, low: number, high: number): Own {
    const { cost, by } = this.handsOf.get(each) ?? { cost: none, by: new Uint8Array(0) }
    return {
      ...within(each, low, high),
      worth: new Float64Array(high - low),
      hands: cost.subarray(low, high),
      by: by.subarray(low, high),
    }
  }
  private addFixed(lag: Lag): void {
    const { grid } = this.all.problem
    const min = Math.ceil(lag.min / grid)
    const max = lag.max === null ? this.slots * 2 : Math.floor(lag.max / grid)
    const miss = isFirm(lag) ? Infinity : lag.penalty
    const start = this.own[lag.to]?.start ?? []
    const fixed = (this.fixed[lag.to] ??= new Float64Array(start.length))
    start.forEach((at, k) => {
      fixed[k] = (fixed[k] ?? 0) + (at < min ? Infinity : at > max ? miss : 0)
    })
  }

  get hires(): Hired[] {
    return [...this.hands, this.places, this.booth]
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
    if (this.own.some(({ worth }) => worth.length === 0)) return -Infinity
    for (const [starts, cost] of this.handsOf) priceHands(starts, this.hands, cost)
    for (const step of this.all.earliest.order) this.price(step)
    for (const root of this.roots) {
      const worth = this.own[root]?.worth ?? none
      let best = 0
      for (let k = 1; k < worth.length; k += 1) if ((worth[k] ?? 0) < (worth[best] ?? 0)) best = k
      this.cheapest[root] = worth[best] ?? 0
      sum += worth[best] ?? 0
      this.choose(root, best)
    }
    return sum < Infinity ? this.withLater(sum) : -Infinity
  }
  /** By piece: what its tree costs where everything comes out cheapest. */
  get costs(): number[] {
    return this.rootOf.map((root) => this.cheapest[root] ?? 0)
  }
  /**
   * Any of the pieces may end later than is looked at, and costs no less than that alone. Where their trees come to more, a week with some of
   * them later costs no less than all of that less; nor than one with one of them later and all others at their earliest.
   */
  private withLater(value: number): number {
    const { problem } = this.all
    let [all, alone] = [value, Infinity]
    this.ends.forEach((end, piece) => {
      const less = costOfEnd(problem, piece, end + 1) - (this.cheapest[this.rootOf[piece] ?? 0] ?? 0)
      if (end >= problem.horizon || less >= 0) return
      all += less
      alone = Math.min(alone, this.beyond[piece] ?? 0)
    })
    return alone === Infinity ? value : Math.min(value, Math.max(all, alone))
  }

  private price(step: number): void {
    const own = this.own[step]
    if (!own) return
    const { start, worth } = own
    const { spray = false } = this.all.problem.steps[step] ?? {}
    addHands(own, this.fixed[step] ?? null, this.all.load[step] ?? 1)
    if (spray) addBooth(own, this.booth.before)
    const dries = this.dries[step] ?? 0
    const { before } = this.places
    if (dries > 0) for (let k = 0; k < worth.length; k += 1) worth[k] = (worth[k] ?? 0) + dries * (before[start[k] ?? 0] ?? 0)
    for (const branch of this.branches[step] ?? []) {
      const from = this.own[branch.lag.from]
      if (from) addWait(branch, from, own, branch.lag.rack ? before : null, this.room)
    }
  }
  private choose(step: number, start: number): void {
    this.at[step] = start
    for (const { lag, chosen } of this.branches[step] ?? []) this.choose(lag.from, chosen[start] ?? 0)
  }

  /** By how much more of each is hired than there is, in every slot of the week that came out cheapest; in the order of {@link hires}. */
  overdrawn(into: readonly Float64Array[]): void {
    const { steps } = this.all.problem
    this.hires.forEach(({ many, open }, k) => {
      const over = into[k]
      if (!over) return
      over.fill(-many)
      if (open) for (let slot = 0; slot < over.length; slot += 1) if (open[slot] === 0) over[slot] = 0
    })
    const [places, booth] = [into[this.hands.length], into[this.hands.length + 1]]
    steps.forEach(({ spray }, step) => {
      const [from, to, who] = [
        this.own[step]?.start[this.at[step] ?? 0] ?? 0,
        this.endOf(step),
        this.own[step]?.by[this.at[step] ?? 0] ?? 0,
      ]
      const open = this.hands[who]?.open
      for (let slot = from; slot < to; slot += 1) {
        if (open?.[slot]) more(into[who], slot, this.all.load[step])
        if (spray) more(booth, slot)
      }
      const dries = this.dries[step] ?? 0
      if (dries > 0) for (let slot = 0; slot < from; slot += 1) more(places, slot, dries)
      for (const { lag } of this.branches[step] ?? [])
        if (lag.rack) for (let slot = this.endOf(lag.from); slot < from; slot += 1) more(places, slot)
    })
  }
  private endOf(step: number): number {
    return this.own[step]?.end[this.at[step] ?? 0] ?? 0
  }
}

/** What each start costs by itself, and for the hands that work it. */
function addHands({ hands, worth }: Own, fixed: Float64Array | null, load: number): void {
  if (fixed) for (let k = 0; k < worth.length; k += 1) worth[k] = (fixed[k] ?? 0) + load * (hands[k] ?? 0)
  else for (let k = 0; k < worth.length; k += 1) worth[k] = load * (hands[k] ?? 0)
}
function addBooth({ start, end, worth }: Own, before: Float64Array): void {
  for (let k = 0; k < worth.length; k += 1) worth[k] = (worth[k] ?? 0) + (before[end[k] ?? 0] ?? 0) - (before[start[k] ?? 0] ?? 0)
}
function more(over: Float64Array | undefined, slot: number, by = 1): void {
  if (over) over[slot] = (over[slot] ?? 0) + by
}
