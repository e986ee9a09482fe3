/** A board on which chains are laid whole: each step as early as may be, none so early that a follower would miss its window. Pure. */
import { Board, type Fit } from './board'
import type { Calendar } from './calendar'
import type { Lag, WorkshopProblem } from './problem'
import type { Chain } from './units'

/** How often a chain is tried later before it is given up. */
const mostTries = 200

export class ChainBoard extends Board {
  private readonly into: Lag[][]

  constructor(
    problem: WorkshopProblem,
    calendars: readonly Calendar[],
    private readonly pinned: ReadonlyMap<number, Fit>,
  ) {
    super(problem, calendars)
    this.into = problem.steps.map(() => [])
    for (const lag of problem.lags) this.into[lag.to]?.push(lag)
    // what is pinned lies there before all else
    for (const [step, fit] of pinned) this.put(step, fit)
  }

  /** Puts a step down where it fits first, or finds it where it is pinned; null where it can't be there. */
  private putDown(step: number, at: number): Fit | null {
    const pinned = this.pinned.get(step)
    if (pinned) return pinned.start >= at ? pinned : null
    const fit = this.fit(step, at)
    if (fit) this.put(step, fit)
    return fit
  }
  /** Puts a step where it lay, by whom; false where it can't be there: it is not ready, a window is missed, or the hands are not free. */
  lieAt(step: number, start: number, by: number): boolean {
    const pinned = this.pinned.get(step)
    if (pinned) return pinned.start >= this.readyAt(step)
    if (start < this.readyAt(step) || !this.problem.steps[step]?.painters.includes(by)) return false
    for (const { from, max, hard } of this.into[step] ?? [])
      if (hard && max !== null && start - (from === null ? 0 : (this.end[from] ?? 0)) > max) return false
    const fit = this.fitOf(step, by, start)
    if (fit) this.put(step, fit)
    return fit !== null
  }
  takeUp(step: number): void {
    if (!this.pinned.has(step) && this.isLaid(step)) this.take(step)
  }
  holdPlace({ from, to }: Lag, more: 1 | -1): void {
    this.hold(from === null ? 0 : (this.end[from] ?? 0), this.start[to] ?? 0, more)
  }

  /** By all that it waits for and that is laid. */
  readyAt(step: number): number {
    let ready = 0
    for (const { from, min } of this.into[step] ?? [])
      if (from === null) ready = Math.max(ready, min)
      else if (this.isLaid(from)) ready = Math.max(ready, (this.end[from] ?? 0) + min)
    return ready
  }

  /** The steps of a chain from one on, the first of them at a minute or as soon after it as all of them hold; none where none do. */
  layChain(chain: Chain, k: number, minute: number): boolean {
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
        const gap = (this.start[link.to] ?? 0) - fit.end
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
  takeFrom(chain: Chain, k: number): void {
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
