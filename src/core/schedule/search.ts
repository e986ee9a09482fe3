/** What every kind of search shares: the board, chance from a seed, the time that is over, the best week so far. Pure. */
import { randomFrom } from '@/core/measure/random'
import type { Fit } from './board'
import { type Earliest, earliestOf } from './bound'
import { checkWeek } from './check'
import { Layout } from './lay'
import type { WorkshopProblem, WorkshopSchedule } from './problem'
import { type Unit, unitsOf } from './units'

interface Asked {
  seed: number
  /** a schedule to go on from: as little of it as can be is moved */
  from?: WorkshopSchedule | undefined
  /** called with every better one */
  onBetter?: ((schedule: WorkshopSchedule, cost: number) => void) | undefined
}
/** Until a time is over, told by whoever asks; or so many rounds, which give the same week each time. */
export type PlanOptions = Asked & ({ elapsedMs: () => number; budgetMs: number } | { rounds: number })

export class Search {
  readonly random: () => number
  readonly earliest: Earliest
  readonly units: readonly Unit[]
  readonly layout: Layout
  best: WorkshopSchedule | null = null
  cost = Infinity
  private rounds = 0

  constructor(
    readonly problem: WorkshopProblem,
    readonly options: PlanOptions,
  ) {
    this.random = randomFrom(options.seed)
    this.earliest = earliestOf(problem)
    this.units = unitsOf(problem)
    this.layout = new Layout(problem, this.units, this.earliest)
  }

  /** The share of the time that is over; each asking is a round. */
  spent(): number {
    this.rounds += 1
    return 'rounds' in this.options ? this.rounds / this.options.rounds : this.options.elapsedMs() / this.options.budgetMs
  }
  pick<T>(from: readonly T[]): T {
    return from[Math.floor(this.random() * from.length)] as T
  }
  /** From -1 to 1, mostly near nothing. */
  around(): number {
    return this.random() + this.random() - 1
  }
  /** Takes note of what lies, where it is the best. */
  better(cost: number): void {
    if (cost >= this.cost) return
    this.cost = cost
    this.best = this.layout.schedule()
    this.options.onBetter?.(this.best, cost)
  }
  /** What may be accepted in place of `cost`: from `hot` to `cold`, shares of it, the less above it the more of the time is over. */
  limit(cost: number, hot: number, cold: number, over: number): number {
    return cost === Infinity ? Infinity : cost - Math.log(1 - this.random()) * cost * hot * (cold / hot) ** over
  }

  /** Units, each after those that it waits for. */
  order(): number[] {
    const order: number[] = []
    const seen = new Set<number>()
    const visit = (unit: number) => {
      if (seen.has(unit)) return
      seen.add(unit)
      this.units[unit]?.after.forEach(visit)
      order.push(unit)
    }
    this.units.forEach((_, unit) => visit(unit))
    return order
  }
  /** Lays a schedule as it is on the empty board. */
  lie(schedule: WorkshopSchedule): void {
    const { end } = checkWeek(this.problem, schedule)
    for (const unit of this.order()) {
      const fits = (this.units[unit]?.steps ?? []).map((k): Fit => ({
        start: schedule.start[k] ?? 0,
        end: end[k] ?? 0,
        by: schedule.painter[k] ?? 0,
      }))
      this.layout.putBack(unit, fits)
    }
  }
  clear(): void {
    for (const unit of this.order().reverse()) this.layout.take(unit)
  }
}
