/**
 * Rows of chains laid on a board: a drying place is kept for what was begun until what follows is laid too, so that nothing is ever without
 * one, and what finds none free waits in the row; or, where all the room there is may be wished for, as if there were places enough.
 * Minutes; pure.
 */
import type { Earliest } from './bound'
import { never } from './calendar'
import type { EndBound } from './endBound'
import type { Moved } from './moved'
import { OpenEnds } from './openEnds'
import { type Fit, givenOf } from './pins'
import type { WorkshopProblem, WorkshopSchedule } from './problem'
import { RowBoard } from './rowBoard'
import { RowTable } from './rowTable'
import { Stays } from './stays'
import type { Unit } from './units'
import { open } from './waitTable'

/** How often a chain is begun later, for a drying place to come free. */
const mostWaits = 400
/** where sums stand that are of all that is laid */
const [missedAt, stirAt] = [0, 1]
/** What came of a chain: it lies; it has no place at all; it waits for something else to be done. */
export const [laid, hopeless, waits] = [1, 2, 3] as const

/** What is known of a problem before anything is laid. */
export interface Ground {
  earliest: Earliest
  pins: ReadonlyMap<number, Fit>
  endBound: EndBound
  moved: Moved | null
}

export class RowLayout extends RowBoard {
  readonly chainsLaid: Int32Array
  private readonly ends: OpenEnds
  /** of windows that were missed, and of what is moved: in all, and by chain */
  private readonly sums: Float64Array
  private readonly missedIn: Float64Array
  private readonly stirIn: Float64Array
  private readonly moved: Moved | null
  /** by chain: whether it took its drying place before anything could be laid otherwise; so it lies, however full they are */
  private readonly isGiven: Uint8Array
  private readonly hasGiven: boolean
  private readonly stays: Stays

  constructor(
    problem: WorkshopProblem,
    readonly units: readonly Unit[],
    { earliest, pins, endBound, moved }: Ground,
    /** nothing waits for a drying place; how much is wanting is told by {@link overfull} */
    private readonly roomy = false,
  ) {
    super(problem, { table: new RowTable(problem, units), calendars: earliest.calendars, pins })
    const chains = this.table.opens.length
    this.isGiven = givenOf(this.table.opens, pins, problem, earliest)
    this.hasGiven = this.isGiven.includes(1)
    this.chainsLaid = this.memory.list(units.length)
    this.sums = this.memory.sums(2)
    this.missedIn = this.memory.sums(chains)
    this.stirIn = this.memory.sums(chains)
    this.moved = moved
    this.stays = new Stays(problem, this.memory)
    this.ends = new OpenEnds(problem, units, { earliest, endBound }, this.memory)
  }

  private get missed(): number {
    return this.sums[missedAt] ?? 0
  }
  private get stir(): number {
    return this.sums[stirAt] ?? 0
  }
  /** What all of it can't cost less than, as far as it is laid; what it costs, where it lies whole. */
  get cost(): number {
    return this.missed + this.ends.cost
  }
  /** The same, with what is moved of a week that is gone on from. */
  get worth(): number {
    return this.missed + this.ends.cost + this.stir
  }
  /** For how many minutes things dry that have no place, each by itself; told only where that may be. */
  get overfull(): number {
    return this.roomy || this.hasGiven ? this.stays.overfull : 0
  }
  schedule(): WorkshopSchedule {
    return { start: [...this.start], painter: [...this.by] }
  }
  copyTo(start: Int32Array, end: Int32Array, by: Int32Array): void {
    start.set(this.start)
    end.set(this.end)
    by.set(this.by)
  }
  startOfStep(step: number): number {
    return this.start[step] ?? never
  }
  /** The first step of a unit that isn't laid. */
  nextOf(unit: number): number {
    const { chainAt, stepAt, step } = this.table
    return step[stepAt[(chainAt[unit] ?? 0) + (this.chainsLaid[unit] ?? 0)] ?? 0] ?? 0
  }
  /** Whether all of a unit that is laid lies as it does in another week. */
  liesAsIn(unit: number, start: Int32Array, by: Int32Array): boolean {
    const { chainAt, stepAt, step } = this.table
    const first = chainAt[unit] ?? 0
    const until = stepAt[first + (this.chainsLaid[unit] ?? 0)] ?? 0
    for (let at = stepAt[first] ?? 0; at < until; at += 1) {
      const each = step[at] ?? 0
      if (this.start[each] !== start[each] || this.by[each] !== by[each]) return false
    }
    return true
  }

  /** Every chain stays where it is in a week, if it can; or, without one, comes as early as it may. */
  stayAsIn(week: WorkshopSchedule | null): void {
    for (let chain = 0; chain < this.table.opens.length; chain += 1) this.setStay(chain, week)
  }
  /** The same, of one chain. */
  setStay(chain: number, week: WorkshopSchedule | null): void {
    const { stepAt, step: steps } = this.table
    for (let at = stepAt[chain] ?? 0; at < (stepAt[chain + 1] ?? 0); at += 1) {
      const step = steps[at] ?? 0
      const by = week?.painter[step] ?? never
      // whoever had it may not have it any more
      const stays = this.problem.steps[step]?.painters.includes(by) ?? false
      this.was[step] = stays ? (week?.start[step] ?? never) : never
      this.wasBy[step] = by
    }
  }
  /** The next chain of a unit, as early as it may be. */
  lay(unit: number): typeof laid | typeof hopeless | typeof waits {
    const { table } = this
    const nth = this.chainsLaid[unit] ?? 0
    const chain = (table.chainAt[unit] ?? 0) + nth
    if (chain >= (table.chainAt[unit + 1] ?? 0)) return hopeless
    if (nth === 0 && !this.mayBegin(unit)) return waits
    const from = table.stepAt[chain] ?? 0
    const until = table.stepAt[chain + 1] ?? 0
    const first = table.step[from] ?? 0
    let ready = this.readyAt(first)
    if (table.opens[chain] === never || this.roomy || this.isGiven[chain] === 1) {
      if (!this.layChain(from, until, ready)) return hopeless
    } else {
      const lasting = table.lasting[chain] ?? 0
      if (lasting > 0 && !this.stays.mayKeep(table.opens[chain] ?? 0, lasting)) return waits
      for (let tries = 0; ; tries += 1) {
        // a place may come free sooner, when what holds it has been laid on
        if (tries > mostWaits || !this.layChain(from, until, ready)) return tries > 0 ? waits : hopeless
        const later = this.waitForPlace(chain)
        if (later === 0) break
        ready = Math.max(ready, this.start[first] ?? 0) + later
        this.takeSteps(from, until)
        if (later === open) return waits
      }
    }
    this.count(unit, chain)
    this.chainsLaid[unit] = nth + 1
    return laid
  }
  /** Takes up the last chain of a unit: the one that was laid last of all. */
  take(unit: number): void {
    const { table } = this
    const nth = (this.chainsLaid[unit] ?? 0) - 1
    const chain = (table.chainAt[unit] ?? 0) + nth
    const from = table.stepAt[chain] ?? 0
    this.chainsLaid[unit] = nth
    this.sums[missedAt] = this.missed - (this.missedIn[chain] ?? 0)
    if (this.moved) this.sums[stirAt] = this.stir - (this.stirIn[chain] ?? 0)
    for (let k = table.leaveAt[chain] ?? 0; k < (table.leaveAt[chain + 1] ?? 0); k += 1) {
      const step = table.leave[k] ?? 0
      this.stays.takeBegin(step, this.end[step] ?? 0)
    }
    for (let k = table.comeAt[chain] ?? 0; k < (table.comeAt[chain + 1] ?? 0); k += 1) {
      const step = table.come[k] ?? 0
      this.stays.takeEnd(step, this.start[step] ?? 0)
    }
    const before = table.step[from - 1] ?? 0
    this.ends.laidTo(unit, nth === 0 ? undefined : before, nth === 0 ? 0 : (this.end[before] ?? 0))
    this.takeSteps(from, table.stepAt[chain + 1] ?? 0)
  }

  private count(unit: number, chain: number): void {
    const { table } = this
    const last = table.step[(table.stepAt[chain + 1] ?? 0) - 1] ?? 0
    this.ends.laidTo(unit, last, this.end[last] ?? 0)
    const missed = this.missedOf(chain)
    this.missedIn[chain] = missed
    this.sums[missedAt] = this.missed + missed
    if (this.moved) this.countMoved(chain, this.moved)
    for (let k = table.leaveAt[chain] ?? 0; k < (table.leaveAt[chain + 1] ?? 0); k += 1) {
      const step = table.leave[k] ?? 0
      this.stays.begin(step, this.end[step] ?? 0)
    }
    for (let k = table.comeAt[chain] ?? 0; k < (table.comeAt[chain + 1] ?? 0); k += 1) {
      const step = table.come[k] ?? 0
      this.stays.end(step, this.start[step] ?? 0)
    }
  }
  private countMoved(chain: number, moved: Moved): void {
    const { stepAt, step } = this.table
    let sum = 0
    for (let at = stepAt[chain] ?? 0; at < (stepAt[chain + 1] ?? 0); at += 1) {
      const each = step[at] ?? 0
      sum += moved.of(each, this.start[each] ?? 0)
    }
    this.stirIn[chain] = sum
    this.sums[stirAt] = this.stir + sum
  }
  /** When a wait begins. */
  private leftBy(lag: number): number {
    const from = this.table.waits.from[lag] ?? never
    return from === never ? 0 : (this.end[from] ?? 0)
  }
  /** What windows cost that a chain missed. */
  private missedOf(chain: number): number {
    const { table } = this
    const { waits: of } = table
    const until = table.windowAt[chain + 1] ?? 0
    let sum = 0
    for (let k = table.windowAt[chain] ?? 0; k < until; k += 1) {
      const lag = table.window[k] ?? 0
      const gap = (this.start[of.to[lag] ?? 0] ?? 0) - this.leftBy(lag)
      if (gap > (of.max[lag] ?? open)) sum += of.penalty[lag] ?? 0
    }
    return sum
  }
  private mayBegin(unit: number): boolean {
    const { after, afterAt, chainAt } = this.table
    const until = afterAt[unit + 1] ?? 0
    for (let k = afterAt[unit] ?? 0; k < until; k += 1) {
      const other = after[k] ?? 0
      if ((this.chainsLaid[other] ?? 0) < (chainAt[other + 1] ?? 0) - (chainAt[other] ?? 0)) return false
    }
    return true
  }
  /** How much later a chain that lies would have to be for drying places to be free, as it may seem; {@link open} where none comes free. */
  private waitForPlace(chain: number): number {
    const { table, stays } = this
    const [extra, lasting] = [table.extra[chain] ?? 0, table.lasting[chain] ?? 0]
    const opens = table.opens[chain] ?? 0
    const opened = this.end[opens] ?? 0
    const shuts = table.shuts[chain] ?? never
    if (shuts === never) return stays.waitFrom(opens, opened, open, extra)
    const shut = this.start[shuts] ?? 0
    const inside = stays.waitFrom(opens, opened, shut, extra)
    return lasting === 0 ? inside : Math.max(inside, stays.waitFrom(opens, shut, open, lasting))
  }
}
