/**
 * Lays units on a board, one after the other, each as early as what lies there allows: chains whole, so that no follower is missed;
 * later where no drying place is free. Takes them up again. Minutes; pure.
 */
import { Board, type Fit } from './board'
import { costOfEnd, type Earliest } from './bound'
import { never } from './calendar'
import { type Lag, NoSchedule, type WorkshopProblem, type WorkshopSchedule } from './problem'
import type { Chain, Unit } from './units'

/** How often a chain is tried later before it is given up. */
const mostTries = 200
/** How often a unit waits for a drying place. */
const mostWaits = 400

/** A unit that may go on. */
export interface OpenUnit {
  unit: number
  piece: number
  /** minutes from its next chain to the end of its piece */
  tail: number
}

export class Layout {
  private readonly board: Board
  private readonly into: Lag[][]
  private readonly pinned = new Map<number, Fit>()
  /** of the pieces that are laid whole, and of windows missed */
  cost = 0

  constructor(
    readonly problem: WorkshopProblem,
    readonly units: readonly Unit[],
    { calendars }: Earliest,
  ) {
    this.board = new Board(problem, calendars)
    this.into = problem.steps.map(() => [])
    for (const lag of problem.lags) this.into[lag.to]?.push(lag)
    // what is pinned lies there before all else
    for (const { from, to, min, max } of problem.lags) {
      if (from !== null || min !== max || this.pinned.has(to)) continue
      const fit = this.board.fit(to, min, min)
      if (!fit) throw new NoSchedule(to, `Step ${to} (${problem.steps[to]?.name}) is pinned to ${min}, where nobody can work it.`)
      this.board.put(to, fit)
      this.pinned.set(to, fit)
    }
  }

  /** Puts a step down where it fits first, or finds it where it is pinned; null where it can't be there. */
  private putDown(step: number, at: number): Fit | null {
    const pinned = this.pinned.get(step)
    if (pinned) return pinned.start >= at ? pinned : null
    const fit = this.board.fit(step, at)
    if (fit) this.board.put(step, fit)
    return fit
  }
  private takeUp(step: number): void {
    if (!this.pinned.has(step) && this.board.isLaid(step)) this.board.take(step)
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

  /** Lays a unit not before a minute; false where it has no place. */
  lay(at: number, notBefore: number): boolean {
    const unit = this.units[at]
    if (!unit) return false
    let delay = notBefore
    for (let wait = 0; wait < mostWaits; wait += 1) {
      if (!this.layChains(unit, delay)) return false
      const until = this.holdPlaces(unit)
      if (until === null) {
        this.cost += this.costOf(unit)
        return true
      }
      this.takeSteps(unit)
      if (until <= delay) return false
      delay = until
    }
    return false
  }
  /**
   * Lays several units chain by chain, whichever `next` picks of those that have chains left and wait for nothing; all of them, or, where
   * one has no place or no drying place is free, none.
   */
  layMixed(units: readonly number[], next: (open: readonly OpenUnit[]) => number, later: () => number, limit: number): boolean {
    const left = new Map(units.map((unit) => [unit, [...(this.units[unit]?.chains ?? [])]]))
    const held: Lag[] = []
    const done: number[] = []
    const before = this.cost
    const giveUp = (): false => {
      for (const lag of held) this.holdPlace(lag, -1)
      for (const unit of units) {
        const own = this.units[unit]
        if (own) this.takeSteps(own)
      }
      this.cost = before
      return false
    }
    while (left.size > 0) {
      const open = [...left].flatMap(([unit, chains]): OpenUnit[] => {
        const { after = [], piece = 0 } = this.units[unit] ?? {}
        return after.some((other) => left.has(other)) ? [] : [{ unit, piece, tail: chains[0]?.tail ?? 0 }]
      })
      const unit = next(open)
      const own = this.units[unit]
      const chains = left.get(unit)
      const chain = chains?.shift()
      if (!own || !chain || !this.layChain(chain, 0, this.readyAt(chain.steps[0] ?? 0) + later())) return giveUp()
      for (const lag of own.racks) {
        if (!chain.steps.includes(lag.to)) continue
        if (this.board.fullUntil(lag.from === null ? 0 : this.endOf(lag.from), this.board.start[lag.to] ?? 0) !== null)
          return giveUp()
        this.holdPlace(lag, 1)
        held.push(lag)
      }
      if (chains?.length === 0) {
        left.delete(unit)
        done.push(unit)
        this.cost += this.costOf(own)
        if (this.cost > limit) return giveUp()
      }
    }
    return true
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
    unit?.steps.forEach((step, k) => fits[k] && !this.pinned.has(step) && this.board.put(step, fits[k]))
    for (const lag of unit?.racks ?? []) this.holdPlace(lag, 1)
    if (unit) this.cost += this.costOf(unit)
  }
  take(at: number): void {
    const unit = this.units[at]
    if (!unit) return
    this.cost -= this.costOf(unit)
    for (const lag of unit.racks) this.holdPlace(lag, -1)
    this.takeSteps(unit)
  }
  private takeSteps({ steps }: Unit): void {
    for (const step of steps) this.takeUp(step)
  }
  private holdPlace({ from, to }: Lag, more: 1 | -1): void {
    this.board.hold(from === null ? 0 : this.endOf(from), this.board.start[to] ?? 0, more)
  }

  /** Takes the places that a unit dries in; where one is lacking, takes none and tells when to begin the unit instead. */
  private holdPlaces(unit: Unit): number | null {
    for (const [k, lag] of unit.racks.entries()) {
      const from = lag.from === null ? 0 : this.endOf(lag.from)
      const free = this.board.fullUntil(from, this.board.start[lag.to] ?? 0)
      if (free === null) {
        this.holdPlace(lag, 1)
        continue
      }
      for (const held of unit.racks.slice(0, k)) this.holdPlace(held, -1)
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
      if (this.layChain(chain, 0, Math.max(chain === first ? notBefore : 0, this.readyAt(chain.steps[0] ?? 0)))) continue
      for (const step of steps) this.takeUp(step)
      return false
    }
    return true
  }

  /** By all that it waits for and that is laid. */
  private readyAt(step: number): number {
    let ready = 0
    for (const { from, min } of this.into[step] ?? [])
      if (from === null) ready = Math.max(ready, min)
      else if (this.board.isLaid(from)) ready = Math.max(ready, this.endOf(from) + min)
    return ready
  }

  /** The steps of a chain from one on, the first of them at a minute or as soon after it as all of them hold; none where none do. */
  private layChain(chain: Chain, k: number, minute: number): boolean {
    const step = chain.steps[k] ?? 0
    const link = chain.links[k]
    let at = minute
    let soonest: number | null = null
    for (let tries = 0; tries < mostTries; tries += 1) {
      const fit = this.putDown(step, at)
      if (!fit) break
      if (!link) return true
      soonest ??= fit.end
      // so late it costs more than the window that it would keep
      const gives = !link.hard && fit.end - soonest > link.penalty
      if (this.layChain(chain, k + 1, Math.max(fit.end + link.min, this.readyAt(link.to)))) {
        const gap = (this.board.start[link.to] ?? 0) - fit.end
        const over = gap - (link.max ?? Infinity)
        if (over <= 0) return true
        if (gives) break
        this.takeFrom(chain, k + 1)
        this.takeUp(step)
        at = Math.max(fit.start + this.problem.grid, fit.start + over)
      } else {
        this.takeUp(step)
        return false
      }
    }
    this.takeFrom(chain, k)
    return link && !link.hard ? this.layMissing(chain, k, minute) : false
  }
  private takeFrom(chain: Chain, k: number): void {
    for (const step of chain.steps.slice(k)) this.takeUp(step)
  }
  /** As early as may be, the window after it missed. */
  private layMissing(chain: Chain, k: number, minute: number): boolean {
    const step = chain.steps[k] ?? 0
    const link = chain.links[k]
    const fit = link ? this.putDown(step, minute) : null
    if (!fit || !link) return false
    if (this.layChain(chain, k + 1, Math.max(fit.end + link.min, this.readyAt(link.to)))) return true
    this.takeUp(step)
    return false
  }
}

const noLag: Lag = { from: null, to: 0, min: 0, max: null, hard: false, penalty: 0, rack: false }
