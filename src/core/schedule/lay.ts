/**
 * Lays units on a board, one after the other, each as early as what lies there allows: chains whole, so that no follower is missed;
 * later where no drying place is free. Takes them up again. Minutes; pure.
 */
import type { Fit } from './board'
import type { Earliest } from './bound'
import { never } from './calendar'
import { ChainBoard } from './chainBoard'
import { OpenEnds } from './openEnds'
import { type Lag, missing, type WorkshopProblem, type WorkshopSchedule } from './problem'
import type { Chain, Unit } from './units'

/** How often a unit waits for a drying place. */
export const mostWaits = 400

export class Layout {
  private readonly board: ChainBoard
  private readonly laid: Uint8Array
  private readonly ends: OpenEnds
  /** of windows that were missed */
  private missed = 0

  constructor(
    readonly problem: WorkshopProblem,
    readonly units: readonly Unit[],
    earliest: Earliest,
    pins: ReadonlyMap<number, Fit>,
  ) {
    this.board = new ChainBoard(problem, earliest.calendars, pins)
    this.laid = new Uint8Array(units.length)
    this.ends = new OpenEnds(problem, units, earliest)
  }

  /** What all of it can't cost less than, as far as it is laid; what it costs, where it lies whole. */
  get cost(): number {
    return this.missed + this.ends.cost
  }

  schedule(): WorkshopSchedule {
    return { start: [...this.board.start], painter: [...this.board.by] }
  }
  startOf(unit: number): number {
    return Math.min(...(this.units[unit]?.steps ?? []).map((step) => this.board.start[step] ?? 0))
  }
  endOf(step: number): number {
    return this.board.end[step] ?? never
  }

  /** What windows cost that a chain missed. */
  private missedOf({ windows }: Chain): number {
    const { lags } = this.problem
    let sum = 0
    for (const k of windows) {
      const lag = lags[k] ?? noLag
      const { from, to, max } = lag
      const gap = (this.board.start[to] ?? 0) - (from === null ? 0 : this.endOf(from))
      if (gap > (max ?? Infinity)) sum += missing(lag)
    }
    return sum
  }
  /** A unit that lies now, or, with -1, is about to be taken up. */
  private count(at: number, more: 1 | -1): void {
    const { chains = [] } = this.units[at] ?? {}
    for (const chain of chains) this.missed += more * this.missedOf(chain)
    const last = more > 0 ? chains.at(-1)?.steps.at(-1) : undefined
    this.ends.laidTo(at, last, last === undefined ? 0 : this.endOf(last))
    this.laid[at] = more > 0 ? 1 : 0
  }

  /** Lays a unit not before a minute; false where it has no place. */
  lay(at: number, notBefore: number): boolean {
    const unit = this.units[at]
    if (!unit) return false
    let delay = notBefore
    for (let wait = 0; wait < mostWaits; wait += 1) {
      if (!this.layChains(unit, delay)) return false
      const until = this.holdPlaces(unit)
      if (until === null) {
        this.count(at, 1)
        return true
      }
      this.takeSteps(unit)
      if (until <= delay) return false
      delay = until
    }
    return false
  }
  isWhole(at: number): boolean {
    return this.laid[at] === 1
  }
  /** Puts a unit where it lay in another week; false, and nothing is changed, where it can't lie there any more. */
  lieAt(at: number, { start, painter }: WorkshopSchedule): boolean {
    const unit = this.units[at]
    if (!unit) return false
    const laid: number[] = []
    const lies = unit.steps.every((step) => {
      if (!this.board.lieAt(step, start[step] ?? never, painter[step] ?? never)) return false
      laid.push(step)
      return true
    })
    const dries = (lag: Lag) =>
      this.board.fullUntil(lag.from === null ? 0 : this.endOf(lag.from), this.board.start[lag.to] ?? 0) === null
    const held: Lag[] = []
    const whole =
      lies &&
      unit.racks.every((lag) => {
        if (!dries(lag)) return false
        this.board.holdPlace(lag, 1)
        held.push(lag)
        return true
      })
    if (whole) {
      this.count(at, 1)
      return true
    }
    for (const lag of held) this.board.holdPlace(lag, -1)
    for (const step of laid) this.board.takeUp(step)
    return false
  }
  take(at: number): void {
    const unit = this.units[at]
    if (!unit) return
    this.count(at, -1)
    for (const lag of unit.racks) this.board.holdPlace(lag, -1)
    this.takeSteps(unit)
  }
  private takeSteps({ steps }: Unit): void {
    for (const step of steps) this.board.takeUp(step)
  }
  /** Takes the places that a unit dries in; where one is lacking, takes none and tells when to begin the unit instead. */
  private holdPlaces(unit: Unit): number | null {
    for (const [k, lag] of unit.racks.entries()) {
      const from = lag.from === null ? 0 : this.endOf(lag.from)
      const free = this.board.fullUntil(from, this.board.start[lag.to] ?? 0)
      if (free === null) {
        this.board.holdPlace(lag, 1)
        continue
      }
      for (const held of unit.racks.slice(0, k)) this.board.holdPlace(held, -1)
      // it begins so much later that it wants its first place when one is free
      const first = Math.min(...unit.racks.map((each) => (each.from === null ? 0 : this.endOf(each.from))))
      const start = Math.min(...unit.steps.map((step) => this.board.start[step] ?? 0))
      return start + Math.max(this.problem.grid, free - first)
    }
    return null
  }

  private layChains({ chains, steps }: Unit, notBefore: number): boolean {
    const first = chains[0]
    for (const chain of chains) {
      if (this.board.layChain(chain, 0, Math.max(chain === first ? notBefore : 0, this.board.readyAt(chain.steps[0] ?? 0))))
        continue
      for (const step of steps) this.board.takeUp(step)
      return false
    }
    return true
  }
}

const noLag: Lag = { from: null, to: 0, min: 0, max: null, hard: false, penalty: 0, rack: false }
