/** One of the weeks that are worked beside each other: what may be worked next in it, by whom, and until when it must be. Pure. */
import { never } from './calendar'
import type { Choice } from './choices'
import { Fits } from './fits'
import type { StepFacts } from './stepFacts'
import type { Towards } from './towards'
import { open } from './waitTable'
import type { Weeks } from './weeks'

export class Front {
  readonly fits: Fits
  /** of how many steps all that they wait for is done; what follows is of each of them, by its number among them */
  many = 0
  readonly step: Int32Array
  /** from when on it may be worked, and by when it must be begun for a window that ruins a coat, and for one that can be missed */
  readonly ready: Int32Array
  readonly hardBy: Int32Array
  readonly softBy: Int32Array
  readonly penalty: Float64Array
  /** when it must be begun for its piece to end by its date, and when it is wished to be */
  readonly latest: Int32Array
  readonly wished: Int32Array
  /** whether it must be begun within a window */
  readonly hasWindow: Uint8Array
  /** who is done with it at the soonest, {@link never} where nobody can be in time; and when they begin */
  readonly by: Int32Array
  readonly start: Int32Array
  /** drying places that are taken once it is done */
  readonly rack: Int32Array
  /** when the first of them is over */
  soonest = open
  /** by step: how many drying places it gives back and takes; the first tells whether it takes something up */
  private readonly frees: Uint8Array
  private readonly fills: Uint8Array
  /** by place in the order in which steps must be over: minutes that hands have left before it, and from it on */
  private readonly before: Float64Array
  private readonly after: Float64Array
  private now: Weeks | null = null
  private week = 0

  constructor(private readonly facts: StepFacts) {
    this.fits = new Fits(facts)
    const { count, waits } = facts
    const list = () => new Int32Array(count)
    ;[this.step, this.ready, this.hardBy, this.softBy] = [list(), list(), list(), list()]
    ;[this.by, this.start, this.rack, this.latest, this.wished] = [list(), list(), list(), list(), list()]
    this.hasWindow = new Uint8Array(count)
    this.penalty = new Float64Array(count)
    ;[this.frees, this.fills] = [new Uint8Array(count), new Uint8Array(count)]
    for (const lag of waits.racks) {
      const [from, to] = [waits.from[lag] ?? never, waits.to[lag] ?? 0]
      this.frees[to] = (this.frees[to] ?? 0) + 1
      if (from !== never) this.fills[from] = (this.fills[from] ?? 0) + 1
    }
    this.before = new Float64Array(count + 1)
    this.after = new Float64Array(count + 1)
  }

  /** `wished`: by step, when it is wished to be begun. */
  read(now: Weeks, week: number, { towards, wished }: { towards: Towards; wished: Int32Array }): void {
    this.now = now
    this.week = week
    this.many = now.fronts[week] ?? 0
    this.readWaits(now)
    for (let nth = 0; nth < this.many; nth += 1) {
      const step = this.step[nth] ?? 0
      this.latest[nth] = towards.start[step] ?? 0
      this.wished[nth] = wished[step] ?? 0
    }
    this.readHands(now, towards)
    this.soonest = open
    for (let nth = 0; nth < this.many; nth += 1) this.findHands(now, nth)
  }
  private readWaits({ end, front }: Weeks): void {
    const { waits, count } = this.facts
    const base = this.week * count
    for (let nth = 0; nth < this.many; nth += 1) {
      const step = front[base + nth] ?? 0
      let [ready, hardBy, softBy, penalty] = [0, open, open, 0]
      for (let k = waits.intoAt[step] ?? 0; k < (waits.intoAt[step + 1] ?? 0); k += 1) {
        const lag = waits.into[k] ?? 0
        const from = waits.from[lag] ?? never
        const since = from === never ? 0 : (end[base + from] ?? 0)
        const most = waits.max[lag] ?? open
        ready = Math.max(ready, since + (waits.min[lag] ?? 0))
        if (most === open) continue
        if (waits.firm[lag] === 1) hardBy = Math.min(hardBy, since + most)
        else if (since + most < softBy) {
          softBy = since + most
          penalty = waits.penalty[lag] ?? 0
        }
      }
      const pin = this.facts.pinOf(step)
      if (pin) hardBy = Math.min(hardBy, pin.start)
      this.step[nth] = step
      this.ready[nth] = ready
      this.hardBy[nth] = hardBy
      this.softBy[nth] = softBy
      this.penalty[nth] = penalty
      this.hasWindow[nth] = Number(hardBy < open || softBy < open)
    }
  }
  private readHands({ end }: Weeks, { order, worked }: Towards): void {
    const { before, after } = this
    const { count, load } = this.facts
    const base = this.week * count
    let work = 0
    before[0] = open
    for (let place = 0; place < count; place += 1) {
      const step = order[place] ?? 0
      const least = before[place] ?? 0
      if ((end[base + step] ?? 0) === never) {
        work += load[step] ?? 0
        const left = (worked[place] ?? 0) - work
        before[place + 1] = left < least ? left : least
        after[place] = left
      } else {
        before[place + 1] = least
        after[place] = open
      }
    }
    after[count] = open
    for (let place = count - 1; place >= 0; place -= 1) after[place] = Math.min(after[place] ?? 0, after[place + 1] ?? 0)
  }
  private findHands(now: Weeks, nth: number): void {
    const { facts, week } = this
    const { by: hands, byAt, product, spray } = facts
    const places = facts.problem.pools.rack
    const step = this.step[nth] ?? 0
    this.by[nth] = never
    const held = now.rack[week] ?? 0
    const left = held - (this.frees[step] ?? 0)
    const rack = left + (this.fills[step] ?? 0)
    // one more than there are places may be put down where another is taken up by then
    const isStill = held > places && left === held
    if (rack > places + 1 || (isStill && rack > held)) return
    this.rack[nth] = rack
    let soonest = Math.max(this.ready[nth] ?? 0, now.last[week] ?? 0)
    if (spray[step] === 1) soonest = Math.max(soonest, now.sprayed[week] ?? 0)
    const last = this.last(nth)
    const own = product[step] ?? 0
    let least = open
    for (let k = byAt[step] ?? 0; k < (byAt[step + 1] ?? 0); k += 1) {
      const hand = hands[k] ?? 0
      const at = week * facts.hands + hand
      const brush = now.brush[at] ?? 0
      let ready = Math.max(now.free[at] ?? 0, soonest)
      if (own > 0 && brush > 0 && own !== brush) ready = Math.max(ready, (now.brushEnd[at] ?? 0) + facts.problem.setup)
      const start = this.fits.from(step, hand, ready, 'hard')
      // nobody can be in time who begins so late
      if (start === never || start > last) continue
      const end = facts.endOf(step, hand, start)
      if (end > least || (end === least && brush !== own)) continue
      least = end
      this.by[nth] = hand
      this.start[nth] = start
    }
    if (least < this.soonest) this.soonest = least
  }
  /** When a step must be begun at the latest, windows that can be missed apart. */
  last(nth: number): number {
    const until = this.now?.until[this.week] ?? 0
    return Math.min(this.hardBy[nth] ?? 0, this.latest[nth] ?? 0, until)
  }

  /** By when a drying place must have come free, where one more are taken than there are once a step is over at a minute. */
  freeBy(nth: number, end: number): number {
    const places = this.facts.problem.pools.rack
    const { now, week } = this
    const held = now?.rack[week] ?? 0
    const rack = this.rack[nth] ?? 0
    if (rack <= places) return open
    // one that was wanting before, and was not given back, is wanted as before
    return held > places && rack === held && !this.freesPlace(nth) ? (now?.until[week] ?? 0) : end
  }

  /**
   * When a step can begin so that a place comes free by when it wants one, where none is: as the first that is to be taken up can be.
   * {@link never} where that is too late.
   */
  startAsFreed(nth: number): number {
    const { facts } = this
    const [step, by, start] = [this.step[nth] ?? 0, this.by[nth] ?? 0, this.start[nth] ?? 0]
    const end = facts.endOf(step, by, start)
    if (this.freeBy(nth, end) !== end) return start
    let freed = open
    for (let other = 0; other < this.many; other += 1)
      if (other !== nth && this.freesPlace(other)) freed = Math.min(freed, this.ready[other] ?? 0)
    if (freed <= end) return start
    const later = this.fits.from(step, by, Math.max(start, freed - (facts.dur[step] ?? 0)), 'hard')
    return later > this.last(nth) ? never : later
  }

  /** Minutes that hands have left for what is ahead, once a step is over and they have worked so long. */
  left(nth: number, worked: number, { place }: Towards): number {
    const step = this.step[nth] ?? 0
    const at = place[step] ?? 0
    return Math.min(this.before[at] ?? 0, (this.after[at + 1] ?? 0) + (this.facts.load[step] ?? 0)) - worked
  }
  /** Whether a step takes something up from a drying place. */
  freesPlace(nth: number): boolean {
    return (this.frees[this.step[nth] ?? 0] ?? 0) > 0
  }
  /** When a step can begin at the soonest, once another was begun. */
  soonestAfter(nth: number, begun: Pick<Choice, 'step' | 'by' | 'start' | 'end'>): number {
    const { facts, now, week } = this
    const { by: hands, byAt, product } = facts
    const step = this.step[nth] ?? 0
    const own = product[step] ?? 0
    let soonest = open
    for (let k = byAt[step] ?? 0; k < (byAt[step + 1] ?? 0); k += 1) {
      const hand = hands[k] ?? 0
      const at = week * facts.hands + hand
      const isBusy = hand === begun.by
      const isWet = isBusy && (product[begun.step] ?? 0) > 0
      const brush = isWet ? (product[begun.step] ?? 0) : (now?.brush[at] ?? 0)
      const since = isWet ? begun.end : (now?.brushEnd[at] ?? 0)
      const free = isBusy ? begun.end : Math.max(now?.free[at] ?? 0, begun.start)
      const cleaned = own > 0 && brush > 0 && brush !== own ? since + facts.problem.setup : 0
      const start = facts.nextStart(step, hand, Math.max(free, this.ready[nth] ?? 0, cleaned))
      if (start !== never && start < soonest) soonest = start
    }
    return soonest
  }
}
