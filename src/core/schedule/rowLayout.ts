/**
 * Rows of chains laid on a board: a drying place is kept for what was begun until what follows is laid too, so that nothing is ever without
 * one, and what finds none free waits in the row. Minutes; pure.
 */
import type { Earliest } from './bound'
import { never } from './calendar'
import type { EndBound } from './endBound'
import { OpenEnds } from './openEnds'
import type { Fit } from './pins'
import type { WorkshopProblem, WorkshopSchedule } from './problem'
import { RowBoard } from './rowBoard'
import { RowTable } from './rowTable'
import type { Unit } from './units'
import { open } from './waitTable'

/** How often a chain is begun later, for a drying place to come free. */
const mostWaits = 400
/** What came of a chain: it lies; it has no place at all; it waits for something else to be done. */
export const [laid, hopeless, waits] = [1, 2, 3] as const

/** What is known of a problem before anything is laid. */
export interface Ground {
  earliest: Earliest
  pins: ReadonlyMap<number, Fit>
  endBound: EndBound
}

export class RowLayout extends RowBoard {
  readonly chainsLaid: Int32Array
  private readonly ends: OpenEnds
  /** of windows that were missed: in all, and by chain */
  private missed = 0
  private readonly missedIn: Float64Array
  /** drying places kept for what is not laid yet */
  private kept: number
  /** stays that are over, in the order they were laid */
  private readonly stayFrom: Int32Array
  private readonly stayTo: Int32Array
  private stays = 0

  constructor(
    problem: WorkshopProblem,
    readonly units: readonly Unit[],
    { earliest, pins, endBound }: Ground,
  ) {
    super(problem, { table: new RowTable(problem, units), calendars: earliest.calendars, pins })
    const chains = this.table.opens.length
    this.chainsLaid = new Int32Array(units.length)
    this.missedIn = new Float64Array(chains)
    this.stayFrom = new Int32Array(this.table.rack.length)
    this.stayTo = new Int32Array(this.table.rack.length)
    this.kept = problem.lags.filter(({ rack, from }) => rack && from === null).length
    this.ends = new OpenEnds(problem, units, earliest, endBound)
  }

  /** What all of it can't cost less than, as far as it is laid; what it costs, where it lies whole. */
  get cost(): number {
    return this.missed + this.ends.cost
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
    const opens = table.opens[chain] ?? never
    let ready = this.readyAt(first)
    if (opens === never) {
      if (!this.layChain(from, until, ready)) return hopeless
    } else {
      const places = this.problem.pools.rack - this.kept - (table.extra[chain] ?? 0) + 1
      if (places <= 0) return waits
      for (let tries = 0; ; tries += 1) {
        // a place may come free sooner, when what holds it has been laid on
        if (tries > mostWaits || !this.layChain(from, until, ready)) return tries > 0 ? waits : hopeless
        const opened = this.end[opens] ?? 0
        const free = this.freeFrom(opened, places)
        if (free <= opened) break
        ready = Math.max(ready, this.start[first] ?? 0) + free - opened
        this.takeSteps(from, until)
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
    this.missed -= this.missedIn[chain] ?? 0
    this.kept += (table.closing[chain] ?? 0) - (table.opening[chain] ?? 0)
    this.stays -= (table.rackAt[chain + 1] ?? 0) - (table.rackAt[chain] ?? 0)
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
    this.missed += missed
    this.kept += (table.opening[chain] ?? 0) - (table.closing[chain] ?? 0)
    const until = table.rackAt[chain + 1] ?? 0
    for (let k = table.rackAt[chain] ?? 0; k < until; k += 1) {
      const lag = table.rack[k] ?? 0
      const from = table.waits.from[lag] ?? never
      this.stayFrom[this.stays] = from === never ? 0 : (this.end[from] ?? 0)
      this.stayTo[this.stays] = this.start[table.waits.to[lag] ?? 0] ?? 0
      this.stays += 1
    }
  }
  /** What windows cost that a chain missed. */
  private missedOf(chain: number): number {
    const { table } = this
    const { waits: of } = table
    const until = table.windowAt[chain + 1] ?? 0
    let sum = 0
    for (let k = table.windowAt[chain] ?? 0; k < until; k += 1) {
      const lag = table.window[k] ?? 0
      const from = of.from[lag] ?? never
      const gap = (this.start[of.to[lag] ?? 0] ?? 0) - (from === never ? 0 : (this.end[from] ?? 0))
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
  /** The first minute, not before one, from which on fewer stays than `places` are held at any time. */
  private freeFrom(minute: number, places: number): number {
    const { stayFrom, stayTo, stays } = this
    let later = 0
    for (let k = 0; k < stays; k += 1) if ((stayTo[k] ?? 0) > minute) later += 1
    let free = minute
    if (later < places) return free
    // just before one of them ends there are as many as hold then
    for (let k = 0; k < stays; k += 1) {
      const end = stayTo[k] ?? 0
      if (end <= free) continue
      let held = 0
      for (let other = 0; other < stays; other += 1) if ((stayFrom[other] ?? 0) < end && (stayTo[other] ?? 0) >= end) held += 1
      if (held >= places) free = end
    }
    return free
  }
}
