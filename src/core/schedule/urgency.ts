/** How urgent a step is: the nearer the minute by which it must be begun, the more it counts. Pure. */
import type { Look } from './look'
import type { StepFacts } from './stepFacts'

/** what is later than wished counts so much at most, where what is as late as can be counts 1 */
const most = 3

export class Urgency {
  private near = 1
  private byWork = false
  /** by slot that is left: what it counts; and all of them by what is near */
  private counts: Float64Array = new Float64Array(0)
  private readonly known = new Map<number, Float64Array>()

  constructor(private readonly facts: StepFacts) {}

  /** From now on as a look says. */
  of({ near, byWork }: Pick<Look, 'near' | 'byWork'>): void {
    this.near = near
    this.byWork = byWork
    const known = this.known.get(near)
    if (known) {
      this.counts = known
      return
    }
    const { problem, hands } = this.facts
    const many = (Math.ceil(problem.horizon / problem.grid) + 1) * hands
    this.counts = Float64Array.from({ length: many }, (_, slot) => Math.exp((-slot * problem.grid) / near))
    this.known.set(near, this.counts)
  }
  /** Of a step that can begin at a minute, and is wished to by another. */
  between(begins: number, wished: number): number {
    if (!this.byWork) return this.within(wished - begins)
    const { workedByAll, problem } = this.facts
    return this.within((workedByAll[(wished / problem.grid) | 0] ?? 0) - (workedByAll[(begins / problem.grid) | 0] ?? 0))
  }
  /** Of what has so many minutes left. */
  within(minutes: number): number {
    if (minutes < 0) return Math.min(most, 1 - minutes / this.near)
    return this.counts[(minutes / this.facts.problem.grid) | 0] ?? 0
  }
}
