/** Weeks beside each other, each worked up to a moment; flat, for there are many. Pure. */
import { never } from './calendar'
import type { Choice } from './choices'
import type { StepFacts } from './stepFacts'
import { open } from './waitTable'

export class Weeks {
  size = 0
  /** by week and worker: when they are free, what is in their brush, since when */
  readonly free: Int32Array
  readonly brush: Int32Array
  readonly brushEnd: Int32Array
  /** by week and step: when it ended; {@link never} where it did not */
  readonly end: Int32Array
  /** by week: steps that all they wait for is done of, and how many */
  readonly front: Int32Array
  readonly fronts: Int32Array
  readonly rack: Int32Array
  readonly until: Int32Array
  readonly missed: Float64Array
  /** when the last step was begun, and the last spraying is over */
  readonly last: Int32Array
  readonly sprayed: Int32Array
  /** which steps are done, in two numbers */
  readonly mark: Float64Array
  /** which of those that were beside each other some steps ago it comes of */
  readonly founder: Uint8Array

  constructor(
    private readonly facts: StepFacts,
    width: number,
  ) {
    const hands = facts.hands
    this.free = new Int32Array(width * hands)
    this.brush = new Int32Array(width * hands)
    this.brushEnd = new Int32Array(width * hands)
    this.end = new Int32Array(width * facts.count)
    this.front = new Int32Array(width * facts.count)
    this.fronts = new Int32Array(width)
    this.rack = new Int32Array(width)
    this.until = new Int32Array(width)
    this.missed = new Float64Array(width)
    this.last = new Int32Array(width)
    this.sprayed = new Int32Array(width)
    this.mark = new Float64Array(2 * width)
    this.founder = new Uint8Array(width)
  }

  /** One week in which nothing is done. */
  begin(): void {
    const { facts } = this
    const { waits } = facts
    const hands = facts.hands
    for (const each of [this.free, this.brush, this.brushEnd]) each.fill(0, 0, hands)
    this.end.fill(never, 0, facts.count)
    this.size = 1
    this.fronts[0] = 0
    for (let step = 0; step < facts.count; step += 1) this.open(0, step)
    this.rack[0] = waits.racks.reduce((sum, lag) => sum + (waits.from[lag] === never ? 1 : 0), 0)
    this.until[0] = open
    this.missed[0] = 0
    this.last[0] = 0
    this.sprayed[0] = 0
    this.mark.fill(0, 0, 2)
  }
  /** All of others, which are no more than there is room for. */
  copy(others: Weeks): void {
    this.size = others.size
    const { size } = this
    const { hands, count } = this.facts
    for (const each of ['free', 'brush', 'brushEnd'] as const) copy(others[each], this[each], 0, 0, size * hands)
    for (const each of ['end', 'front'] as const) copy(others[each], this[each], 0, 0, size * count)
    for (const each of ['fronts', 'rack', 'until', 'last', 'sprayed'] as const) copy(others[each], this[each], 0, 0, size)
    this.missed.set(others.missed.subarray(0, size))
    this.mark.set(others.mark.subarray(0, 2 * size))
    this.founder.set(others.founder.subarray(0, size))
  }
  /** Each is the first of its kin from now on. */
  found(): void {
    for (let week = 0; week < this.size; week += 1) this.founder[week] = week
  }
  /** Puts a step among those that may be worked, where all that it waits for is done. */
  private open(week: number, step: number): void {
    const { waits, count } = this.facts
    const base = week * count
    for (let k = waits.intoAt[step] ?? 0; k < (waits.intoAt[step + 1] ?? 0); k += 1) {
      const from = waits.from[waits.into[k] ?? 0] ?? never
      if (from !== never && this.end[base + from] === never) return
    }
    const many = this.fronts[week] ?? 0
    if (this.front.subarray(base, base + many).includes(step)) return
    this.front[base + many] = step
    this.fronts[week] = many + 1
  }

  /** One more: a week of others as it goes on by a choice. */
  add(others: Weeks, { week, step, by, start, end, rack, until, missed }: Choice, marks: Float64Array): void {
    const { facts } = this
    const { count, waits, product, spray } = facts
    const hands = facts.hands
    const own = this.size
    this.size += 1
    copy(others.free, this.free, week * hands, own * hands, hands)
    copy(others.brush, this.brush, week * hands, own * hands, hands)
    copy(others.brushEnd, this.brushEnd, week * hands, own * hands, hands)
    copy(others.end, this.end, week * count, own * count, count)
    this.free[own * hands + by] = end
    if ((product[step] ?? 0) > 0) {
      this.brush[own * hands + by] = product[step] ?? 0
      this.brushEnd[own * hands + by] = end
    }
    this.end[own * count + step] = end
    let many = 0
    for (let k = 0; k < (others.fronts[week] ?? 0); k += 1) {
      const each = others.front[week * count + k] ?? 0
      if (each === step) continue
      this.front[own * count + many] = each
      many += 1
    }
    this.fronts[own] = many
    for (let k = waits.outAt[step] ?? 0; k < (waits.outAt[step + 1] ?? 0); k += 1)
      this.open(own, waits.to[waits.out[k] ?? 0] ?? 0)
    this.rack[own] = rack
    this.until[own] = until
    this.missed[own] = missed
    this.last[own] = start
    this.sprayed[own] = spray[step] === 1 ? end : (others.sprayed[week] ?? 0)
    this.founder[own] = others.founder[week] ?? 0
    this.mark[2 * own] = (others.mark[2 * week] ?? 0) + (marks[2 * step] ?? 0)
    this.mark[2 * own + 1] = (others.mark[2 * week + 1] ?? 0) + (marks[2 * step + 1] ?? 0)
  }
}
function copy(from: Int32Array, to: Int32Array, at: number, into: number, many: number): void {
  for (let k = 0; k < many; k += 1) to[into + k] = from[at + k] ?? 0
}
