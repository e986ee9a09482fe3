/** When a piece ends at the soonest, where one of its steps ends at a minute: the longest path from there through its workers' hours. Pure. */
import { type Calendar, never } from './calendar'
import type { Lag, WorkshopProblem } from './problem'

export class EndBound {
  private readonly out: Lag[][]
  /** by step, by slot of its end: the slot in which its piece ends, and one more; 0 where it was not asked yet */
  private readonly known: Uint16Array
  private readonly slots: number
  private readonly isFinal: Uint8Array

  constructor(
    private readonly problem: WorkshopProblem,
    private readonly calendars: readonly Calendar[],
  ) {
    const { steps, lags, pieces } = problem
    this.out = steps.map(() => [])
    for (const lag of lags)
      if (lag.from !== null && steps[lag.from]?.piece === steps[lag.to]?.piece) this.out[lag.from]?.push(lag)
    this.slots = Math.ceil(problem.horizon / problem.grid) + 1
    this.known = new Uint16Array(steps.length * this.slots)
    this.isFinal = new Uint8Array(steps.length)
    for (const { final } of pieces) this.isFinal[final] = 1
  }

  /** Where it can't end any more: the horizon. */
  after(step: number, end: number): number {
    const { grid } = this.problem
    if (this.isFinal[step] === 1) return end
    const at = step * this.slots + Math.min(Math.ceil(end / grid), this.slots - 1)
    const known = this.known[at] ?? 0
    if (known > 0) return (known - 1) * grid
    let most = end
    for (const { to, min } of this.out[step] ?? []) most = Math.max(most, this.through(to, end + min))
    this.known[at] = Math.ceil(most / grid) + 1
    return most
  }
  /** The same, where a step may be begun from a minute on. */
  through(step: number, ready: number): number {
    const facts = this.problem.steps[step]
    let soonest = this.problem.horizon
    for (const by of facts?.painters ?? []) {
      const calendar = this.calendars[by]
      if (facts && calendar && calendar.nextStart(facts, ready) !== never) soonest = Math.min(soonest, calendar.ends)
    }
    return soonest === this.problem.horizon ? soonest : this.after(step, soonest)
  }
}
