/** What every kind of search shares: the board, chance from a seed, the time that is over, the best week so far. Pure. */
import { randomFrom } from '@/core/measure/random'
import { type Earliest, earliestOf, lowerBound } from './bound'
import { never } from './calendar'
import { checkWeek } from './check'
import { EndBound } from './endBound'
import { LatestStarts } from './latestStart'
import { Moved } from './moved'
import { type Fit, pinsOf } from './pins'
import { ruin, type WorkshopProblem, type WorkshopSchedule } from './problem'
import { RowLayout } from './rowLayout'
import { type Unit, unitsOf } from './units'

/** So many rounds are told for a millisecond. */
const roundsInMs = 6

/** A window so much wider than its least holds no chain together, where chains are fine. */
const wideWindow = 600

/** A workshop's parts in their chains, and the board they are laid on. */
export interface Grain {
  units: readonly Unit[]
  layout: RowLayout
  latest: LatestStarts
  /** by chain: when the first of its steps is that is held to a minute; {@link never} where none is */
  held: Int32Array
}
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
  /** no week costs less */
  readonly bound: number
  /** what is held to a minute */
  readonly pins: ReadonlyMap<number, Fit>
  /** with whole chains */
  readonly coarse: Grain
  /** with chains cut where a window is wide, so that what follows may be laid on its own, or be late */
  readonly fine: Grain
  /** both, and where drying places may be too few both once more as if they were not */
  readonly grains: readonly Grain[]
  best: WorkshopSchedule | null = null
  cost = Infinity
  /** what is moved in a week costs, where one is gone on from */
  private readonly moved: Moved | null
  /** of the best, with what it costs that steps are moved */
  private worth = Infinity
  private rounds = 0

  constructor(
    readonly problem: WorkshopProblem,
    readonly options: PlanOptions,
  ) {
    this.random = randomFrom(options.seed)
    this.earliest = earliestOf(problem)
    this.bound = lowerBound(problem, this.earliest)
    const pins = pinsOf(problem, this.earliest.calendars, options.from)
    this.pins = pins
    this.moved = options.from ? new Moved(options.from) : null
    const endBound = new EndBound(problem, this.earliest.calendars)
    const grainOf = (units: readonly Unit[], roomy = false): Grain => ({
      units,
      layout: new RowLayout(problem, units, { earliest: this.earliest, pins, endBound, moved: this.moved }, roomy),
      latest: new LatestStarts(problem, units, endBound),
      held: Int32Array.from(
        units.flatMap(({ chains }) =>
          chains.map(({ steps }) => pins.get(steps.find((step) => pins.has(step)) ?? never)?.start ?? never),
        ),
      ),
    })
    this.coarse = grainOf(unitsOf(problem))
    this.fine = grainOf(unitsOf(problem, wideWindow))
    const { coarse, fine } = this
    // where places are plenty there is no other row to be found so
    const stays = problem.lags.filter(({ rack }) => rack)
    const isTight =
      stays.length > problem.pools.rack ||
      problem.pools.rooms?.some((places, room) => stays.filter((lag) => lag.room === room).length > places) === true
    this.grains = isTight ? [coarse, grainOf(fine.units, true), fine, grainOf(coarse.units, true)] : [coarse, fine]
  }

  /** The share of the time that is over; each asking is a round. All of it, where nothing cheaper can be, and nothing is gone on from. */
  spent(): number {
    this.rounds += 1
    const share = 'rounds' in this.options ? this.rounds / this.options.rounds : this.options.elapsedMs() / this.options.budgetMs
    // never back before what was told: who began late has less than nothing left
    return this.cost <= this.bound && !this.options.from ? Math.max(1, share) : share
  }
  /** How many milliseconds a share of the time is, or what stands for them in rounds. */
  timeFor(share: number): number {
    return share * ('rounds' in this.options ? this.options.rounds / roundsInMs : this.options.budgetMs)
  }
  pick<T>(from: readonly T[]): T {
    return from[Math.floor(this.random() * from.length)] as T
  }
  /** From -1 to 1, mostly near nothing. */
  around(): number {
    return this.random() + this.random() - 1
  }
  /** Takes note of what lies, where it is the best and may be worked. */
  better(layout: Pick<RowLayout, 'schedule' | 'overfull' | 'cost' | 'worth'>): void {
    if (layout.worth < this.worth && layout.overfull === 0) this.note(layout.schedule(), layout.cost, layout.worth)
  }
  /** The same of a whole week, which costs so much; answers with what it costs with what is moved in it. */
  betterWeek(schedule: WorkshopSchedule, cost: number): number {
    // by the first that can be worked, what is moved is priced
    if (this.moved?.isPriced === false) this.moved.priceBy(cost % ruin)
    const worth = cost + (this.moved?.ofAll(schedule.start) ?? 0)
    if (worth < this.worth) this.note(schedule, cost, worth)
    return worth
  }
  private note(schedule: WorkshopSchedule, cost: number, worth: number): void {
    // what a ruined coat counts beside is no cost of the week's
    this.cost = cost < ruin ? cost : checkWeek(this.problem, schedule).cost
    this.worth = worth
    this.best = schedule
    this.options.onBetter?.(schedule, this.cost)
  }
  /** What may be accepted in place of `cost`: from `hot` to `cold`, shares of it, the less above it the more of the time is over. */
  limit(cost: number, hot: number, cold: number, over: number): number {
    // where a coat can't but be ruined the rest is weighed all the same
    return cost === Infinity ? Infinity : cost - Math.log(1 - this.random()) * (cost % ruin) * hot * (cold / hot) ** over
  }
}
