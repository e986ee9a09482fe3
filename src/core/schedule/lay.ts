/**
 * Lays units on a board, one after the other, each as early as what lies there allows: chains whole, so that no follower is missed;
 * later where no drying place is free. Takes them up again. Minutes; pure.
 */
import type { Fit } from './board'
import { costOfEnd, type Earliest } from './bound'
import { never } from './calendar'
import { ChainBoard } from './chainBoard'
import type { Lag, WorkshopProblem, WorkshopSchedule } from './problem'
import type { Unit } from './units'

/** How often a unit waits for a drying place. */
export const mostWaits = 400

/** A unit that may go on. */
export interface OpenUnit {
  unit: number
  piece: number
  /** minutes from its next chain to the end of its piece */
  tail: number
}

export class Layout {
  protected readonly board: ChainBoard
  protected readonly chainsLaid: Int32Array
  /** least cost of each piece, and of those together that are not laid to their end */
  private readonly leastOf: readonly number[]
  private open: number
  /** of the pieces that are laid to their end, and of windows missed */
  cost = 0

  constructor(
    readonly problem: WorkshopProblem,
    readonly units: readonly Unit[],
    { calendars, end }: Earliest,
  ) {
    this.board = new ChainBoard(problem, calendars)
    this.chainsLaid = new Int32Array(units.length)
    this.leastOf = problem.pieces.map(({ final }, piece) => costOfEnd(problem, piece, end[final] ?? 0))
    this.open = this.leastOf.reduce((sum, each) => sum + each, 0)
  }

  schedule(): WorkshopSchedule {
    return { start: [...this.board.start], painter: [...this.board.by] }
  }
  startOf(unit: number): number {
    return Math.min(...(this.units[unit]?.steps ?? []).map((step) => this.board.start[step] ?? 0))
  }
  startOfStep(step: number): number {
    return this.board.start[step] ?? never
  }
  endOf(step: number): number {
    return this.board.end[step] ?? never
  }

  /** What a unit that is laid costs: its piece, where it ends in it, and the windows it missed. */
  private costOf({ piece, steps, windows }: Unit): number {
    const { pieces, lags } = this.problem
    const final = pieces[piece]?.final ?? never
    const ended = steps.includes(final) ? costOfEnd(this.problem, piece, this.endOf(final)) : 0
    return windows.reduce((sum, k) => {
      const { from, to, max, penalty } = lags[k] ?? noLag
      const gap = (this.board.start[to] ?? 0) - (from === null ? 0 : this.endOf(from))
      return gap > (max ?? Infinity) ? sum + penalty : sum
    }, ended)
  }

  /** What all of it can't cost less than, as far as it is laid. */
  least(): number {
    return this.cost + this.open
  }
  /** A unit that is whole now, or no longer is. */
  protected count(unit: Unit, more: 1 | -1): void {
    this.cost += more * this.costOf(unit)
    if (unit.steps.includes(this.problem.pieces[unit.piece]?.final ?? never)) this.open -= more * (this.leastOf[unit.piece] ?? 0)
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
        this.chainsLaid[at] = unit.chains.length
        this.count(unit, 1)
        return true
      }
      this.takeSteps(unit)
      if (until <= delay) return false
      delay = until
    }
    return false
  }
  protected mayBegin(at: number): boolean {
    for (const other of this.units[at]?.after ?? []) if (!this.isWhole(other)) return false
    return true
  }
  isWhole(at: number): boolean {
    return this.chainsLaid[at] === this.units[at]?.chains.length
  }
  /** The next chain of a unit, so long after what it waits for; false where it has no place, or none to dry in. */
  layChainOf(at: number, later = 0): boolean {
    const unit = this.units[at]
    const chain = unit?.chains[this.chainsLaid[at] ?? 0]
    if (!unit || !chain || !this.board.layChain(chain, 0, this.board.readyAt(chain.steps[0] ?? 0) + later)) return false
    for (const [k, lag] of chain.racks.entries()) {
      if (this.board.fullUntil(lag.from === null ? 0 : this.endOf(lag.from), this.board.start[lag.to] ?? 0) === null) {
        this.board.holdPlace(lag, 1)
        continue
      }
      for (const held of chain.racks.slice(0, k)) this.board.holdPlace(held, -1)
      this.board.takeFrom(chain, 0)
      return false
    }
    this.chainsLaid[at] = (this.chainsLaid[at] ?? 0) + 1
    if (this.chainsLaid[at] === unit.chains.length) this.count(unit, 1)
    return true
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
      this.chainsLaid[at] = unit.chains.length
      this.count(unit, 1)
      return true
    }
    for (const lag of held) this.board.holdPlace(lag, -1)
    for (const step of laid) this.board.takeUp(step)
    return false
  }
  /** Takes up the last chain of a unit that lies. */
  takeChainOf(at: number): void {
    const unit = this.units[at]
    const last = (this.chainsLaid[at] ?? 0) - 1
    const chain = unit?.chains[last]
    if (!unit || !chain) return
    if (last === unit.chains.length - 1) this.count(unit, -1)
    for (const lag of chain.racks) this.board.holdPlace(lag, -1)
    this.board.takeFrom(chain, 0)
    this.chainsLaid[at] = last
  }

  /**
   * Lays several units chain by chain, whichever `next` picks of those that have chains left and wait for nothing; all of them, or, where
   * one has no place or no drying place is free, none.
   */
  layMixed(units: readonly number[], next: (open: readonly OpenUnit[]) => number, later: () => number, limit: number): boolean {
    const laid: number[] = []
    for (;;) {
      const open: OpenUnit[] = []
      for (const unit of units) {
        const facts = this.units[unit]
        const chain = facts?.chains[this.chainsLaid[unit] ?? 0]
        if (chain && (this.chainsLaid[unit] !== 0 || this.mayBegin(unit)))
          open.push({ unit, piece: facts?.piece ?? 0, tail: chain.tail })
      }
      if (open.length === 0) return true
      const unit = next(open)
      if (this.layChainOf(unit, later()) && laid.push(unit) && this.least() <= limit) continue
      for (const each of laid.reverse()) this.takeChainOf(each)
      return false
    }
  }

  /** Where its steps lie, to be put back so. */
  save(at: number): Fit[] {
    return (this.units[at]?.steps ?? []).map((step) => ({
      start: this.board.start[step] ?? 0,
      end: this.endOf(step),
      by: this.board.by[step] ?? 0,
    }))
  }
  putBack(at: number, fits: readonly Fit[]): void {
    const unit = this.units[at]
    unit?.steps.forEach((step, k) => fits[k] && this.board.putBack(step, fits[k]))
    for (const lag of unit?.racks ?? []) this.board.holdPlace(lag, 1)
    if (!unit) return
    this.chainsLaid[at] = unit.chains.length
    this.count(unit, 1)
  }
  take(at: number): void {
    const unit = this.units[at]
    if (!unit) return
    this.count(unit, -1)
    for (const lag of unit.racks) this.board.holdPlace(lag, -1)
    this.takeSteps(unit)
    this.chainsLaid[at] = 0
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
