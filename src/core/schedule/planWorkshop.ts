/**
 * The workshop's week. First rules of thumb; then the dates that pieces are worked towards are shaken and cooled, for an order follows
 * from them; then the order itself; then pieces are taken out of the best week found and laid back in another order, all else held
 * where it is. The method stands in docs/schedule.md. Seeded, without a clock of its own; pure.
 */
import { randomFrom } from '@/core/measure/random'
import type { Fit } from './board'
import { earliestOf, lowerBound } from './bound'
import { checkWeek } from './check'
import { NoSchedule, type WorkshopProblem, type WorkshopSchedule } from './problem'
import type { OpenUnit } from './lay'
import { type Order, Sequence } from './sequence'

interface Asked {
  seed: number
  /** a schedule to go on from: as little of it as can be is moved */
  from?: WorkshopSchedule | undefined
  /** called with every better one */
  onBetter?: ((schedule: WorkshopSchedule, cost: number) => void) | undefined
}
/** Until a time is over, told by whoever asks; or so many rounds, which give the same week each time. */
export type PlanOptions = Asked & ({ elapsedMs: () => number; budgetMs: number } | { rounds: number })
export interface PlannedWeek extends WorkshopSchedule {
  cost: number
  /** no schedule costs less */
  bound: number
  /** waits whose most could not be kept, by their index */
  missed: number[]
}

/** Shares of the time after which the next kind of search begins. */
const untilDates = 0.1
const untilOrder = 0.25
/** Heat at the beginning and at the end of a search, as a share of the cost. */
const [hot, cold] = [0.02, 0.0004]
/** Where a short search ends. */
const warm = 0.004
const manyStarts = 4
/** The share of the time, after the orders, that short searches take. */
const shortShare = 0.6
const dayMinutes = 1440
/** A chain may be begun so much later than it could. */
const laterBy = [120, 480, dayMinutes, 3 * dayMinutes]

interface Found {
  cost: number
  schedule: WorkshopSchedule
}

/** Throws {@link NoSchedule} where a step fits into nobody's hours, or a window that ruins a coat can be kept by no order. */
export function planWorkshop(problem: WorkshopProblem, options: PlanOptions): PlannedWeek {
  const search = new Search(problem, options)
  if (!options.from || !search.goOnFrom(options.from)) search.fromOrders()
  search.aroundBest()
  return search.result()
}

class Search {
  private readonly random: () => number
  private readonly earliest
  private readonly sequence: Sequence
  private best: WorkshopSchedule | null = null
  private cost = Infinity
  private rounds = 0
  /** units that lie on the board by no order */
  private lying: number[] = []

  constructor(
    private readonly problem: WorkshopProblem,
    private readonly options: PlanOptions,
  ) {
    this.random = randomFrom(options.seed)
    this.earliest = earliestOf(problem)
    this.sequence = new Sequence(problem, this.earliest)
  }

  /** The share of the time that is over. */
  private spent(): number {
    this.rounds += 1
    return 'rounds' in this.options ? this.rounds / this.options.rounds : this.options.elapsedMs() / this.options.budgetMs
  }
  private pick<T>(from: readonly T[]): T {
    return from[Math.floor(this.random() * from.length)] as T
  }
  private better(cost: number): void {
    if (cost >= this.cost) return
    this.cost = cost
    this.best = this.sequence.layout.schedule()
    this.options.onBetter?.(this.best, cost)
  }
  /** What may be accepted in place of `cost`: the colder, the less above it. */
  private limit(cost: number, warmth: number): number {
    return cost - Math.log(1 - this.random()) * cost * hot * (cold / hot) ** warmth
  }

  fromOrders(): void {
    const { pieces } = this.problem
    const ends = pieces.map(({ final }) => this.earliest.end[final] ?? 0)
    const rules = [
      pieces.map(({ due }) => due),
      ends,
      pieces.map(({ due, weight }) => due - (weight * dayMinutes) / 2),
      pieces.map(({ weight }, k) => (ends[k] ?? 0) / weight),
      pieces.map(({ due }, k) => (due + (ends[k] ?? 0)) / 2),
    ]
    let [dates, cost] = [rules[0] ?? [], Infinity]
    for (const rule of rules) {
      const found = this.sequence.costOf(this.orderBy(rule))
      this.spent()
      this.better(found)
      if (found < cost) [dates, cost] = [rule, found]
    }
    const order = this.shakeDates(dates, cost)
    this.shakeOrder(order)
  }

  /** Units by their latest start towards the dates of their pieces. */
  private orderBy(dates: readonly number[]): number[] {
    const latest = (unit: number) => {
      const { piece = 0, tail = 0 } = this.sequence.units[unit] ?? {}
      return (dates[piece] ?? 0) - tail
    }
    return [...this.sequence.free].sort((a, b) => latest(a) - latest(b) || a - b)
  }

  private shakeDates(first: readonly number[], begun: number): Order {
    let [dates, cost] = [first, begun]
    let [bestDates, least] = [first, begun]
    for (let share = this.spent(); share < untilDates; share = this.spent()) {
      const next = [...dates]
      const piece = Math.floor(this.random() * next.length)
      if (this.random() < 0.3) {
        const other = Math.floor(this.random() * next.length)
        ;[next[piece], next[other]] = [next[other] ?? 0, next[piece] ?? 0]
      } else next[piece] = (next[piece] ?? 0) + (this.random() + this.random() - 1) * dayMinutes * 6 * (1.2 - share / untilDates)
      const limit = cost === Infinity ? Infinity : this.limit(cost, share / untilDates)
      const found = this.sequence.costOf(this.orderBy(next), {}, limit)
      if (found > limit || found === Infinity) continue
      ;[dates, cost] = [next, found]
      this.better(found)
      if (found < least) [bestDates, least] = [next, found]
    }
    return this.orderBy(bestDates)
  }

  private shakeOrder(first: Order): void {
    let [order, delays] = [[...first], {} as Record<number, number>]
    let cost = this.sequence.costOf(order)
    for (let share = this.spent(); share < untilOrder; share = this.spent()) {
      const [next, later] = this.moved(order, delays)
      const limit = cost === Infinity ? Infinity : this.limit(cost, (share - untilDates) / (untilOrder - untilDates))
      const found = this.sequence.costOf(next, later, limit)
      if (found > limit || found === Infinity) continue
      ;[order, delays, cost] = [next, later, found]
      this.better(found)
    }
  }

  private moved(order: readonly number[], delays: Readonly<Record<number, number>>): [number[], Record<number, number>] {
    const next = [...order]
    const chance = this.random()
    const from = Math.floor(this.random() * next.length)
    const unit = next[from] ?? 0
    if (chance < 0.12) {
      // not at its earliest: a day later, or as early as it can again
      const { [unit]: delay, ...rest } = delays
      const begins = this.sequence.layout.startOf(unit)
      return [next, delay !== undefined ? rest : { ...rest, [unit]: Math.max(0, begins) + this.pick([60, 240, dayMinutes]) }]
    }
    if (chance < 0.3) {
      // all of a piece
      const piece = this.sequence.units[unit]?.piece
      const own = next.filter((each) => this.sequence.units[each]?.piece === piece)
      const others = next.filter((each) => this.sequence.units[each]?.piece !== piece)
      others.splice(Math.floor(this.random() * (others.length + 1)), 0, ...own)
      return [others, { ...delays }]
    }
    const reach = chance < 0.8 ? 4 : next.length
    const to = Math.max(0, Math.min(next.length - 1, from + Math.round((this.random() - 0.5) * 2 * reach)))
    next.splice(from, 1)
    next.splice(to, 0, unit)
    return [next, { ...delays }]
  }

  /** Takes up a schedule as it is; false where it can't be worked any more. */
  goOnFrom(schedule: WorkshopSchedule): boolean {
    const { faults, missed, cost } = checkWeek(this.problem, schedule)
    if (faults.length > 0 || missed.some((k) => this.problem.lags[k]?.hard)) return false
    this.cost = cost
    this.best = schedule
    return true
  }
  private putAll({ start, painter }: WorkshopSchedule, end: readonly number[]): void {
    for (const unit of this.layOrder())
      this.sequence.layout.putBack(
        unit,
        (this.sequence.units[unit]?.steps ?? []).map((k): Fit => ({
          start: start[k] ?? 0,
          end: end[k] ?? 0,
          by: painter[k] ?? 0,
        })),
      )
  }
  /** Units, each after those that it waits for. */
  private layOrder(): number[] {
    const { units } = this.sequence
    const order: number[] = []
    const seen = new Set<number>()
    const visit = (unit: number) => {
      if (seen.has(unit)) return
      seen.add(unit)
      units[unit]?.after.forEach(visit)
      order.push(unit)
    }
    units.forEach((_, unit) => visit(unit))
    return order
  }

  /** Several short searches from different weeks, the two best go on cooler. */
  aroundBest(): void {
    const { best } = this
    if (!best) return
    const order = this.layOrder()
    const byPiece = this.problem.pieces.map((_, piece) => order.filter((unit) => this.sequence.units[unit]?.piece === piece))
    const begun = Math.min(0.98, this.spent())
    const many = this.options.from ? 1 : this.problem.pieces.length <= 14 ? manyStarts : 2
    const shortly = begun + (1 - begun) * shortShare
    const found: Found[] = []
    for (let k = 0; k < many; k += 1) {
      this.lie(best)
      if (k > 0) this.anew(order)
      const [from, until] = [begun + ((shortly - begun) * k) / many, begun + ((shortly - begun) * (k + 1)) / many]
      found.push(this.cool(byPiece, from, until, hot, warm))
    }
    const goOn = found.sort((one, other) => one.cost - other.cost).slice(0, 2)
    goOn.forEach(({ schedule }, k) => {
      this.lie(schedule)
      const [from, until] = [shortly + ((1 - shortly) * k) / goOn.length, shortly + ((1 - shortly) * (k + 1)) / goOn.length]
      this.cool(byPiece, from, until, warm, cold)
    })
  }
  /** A schedule as it is, on the empty board. */
  private lie(schedule: WorkshopSchedule): void {
    this.sequence.forget()
    for (const unit of this.lying.reverse()) this.sequence.layout.take(unit)
    this.putAll(schedule, checkWeek(this.problem, schedule).end)
    this.lying = this.layOrder()
  }
  /** Another week altogether, by dates of chance; as it was where none can be laid so. */
  private anew(order: readonly number[]): void {
    const saved = order.map((unit) => [unit, this.sequence.layout.save(unit)] as const)
    const ends = this.problem.pieces.map(({ final }) => this.sequence.layout.endOf(final))
    for (const unit of [...order].reverse()) this.sequence.layout.take(unit)
    for (let tries = 0; tries < 20; tries += 1) if (this.layMixed(order, ends, [], Infinity)) return
    for (const [unit, fits] of saved) this.sequence.layout.putBack(unit, fits)
  }

  /** Pieces are taken out and laid back in another order, all else held where it is; ever less is lost for it. */
  private cool(byPiece: readonly number[][], from: number, until: number, hottest: number, coldest: number): Found {
    let { cost } = this.sequence.layout
    let best: Found = { cost, schedule: this.sequence.layout.schedule() }
    for (let share = this.spent(); share < until; share = this.spent()) {
      const warmth = Math.max(0, (share - from) / Math.max(1e-9, until - from))
      const out = this.chosen()
      const ends = this.problem.pieces.map(({ final }) => this.sequence.layout.endOf(final))
      const units = out.flatMap((piece) => byPiece[piece] ?? [])
      const saved = units.map((unit) => [unit, this.sequence.layout.save(unit)] as const)
      for (const unit of [...units].reverse()) this.sequence.layout.take(unit)
      const limit = cost - Math.log(1 - this.random()) * cost * hottest * (coldest / hottest) ** warmth
      const laid: number[] = []
      const mixed = this.random() < 0.5
      const whole = mixed ? this.layMixed(units, ends, laid, limit) : this.layBack(this.shuffled(out), byPiece, laid, limit)
      if (whole && this.sequence.layout.cost <= limit) {
        cost = this.sequence.layout.cost
        this.better(cost)
        if (cost < best.cost) best = { cost, schedule: this.sequence.layout.schedule() }
        continue
      }
      for (const unit of laid.reverse()) this.sequence.layout.take(unit)
      for (const [unit, fits] of saved) this.sequence.layout.putBack(unit, fits)
    }
    return best
  }
  /** Chain by chain: by their latest start towards a date that each piece is given by chance; now and then by chance alone. */
  private layMixed(units: readonly number[], ends: readonly number[], laid: number[], limit: number): boolean {
    const wild = this.random() < (units.length <= 8 ? 0.6 : 0.2)
    const spread = dayMinutes * this.random() ** 2 * 8
    const dates = this.problem.pieces.map(
      ({ due }, piece) => (this.random() < 0.5 ? due : (ends[piece] ?? due)) + (this.random() + this.random() - 1) * spread,
    )
    let last = -1
    const next = (open: readonly OpenUnit[]): number => {
      if (wild) return (last = open.some(({ unit }) => unit === last) && this.random() < 0.5 ? last : this.pick(open).unit)
      const latest = ({ piece, tail }: OpenUnit) => (dates[piece] ?? 0) - tail
      return open.reduce((first, each) => (latest(each) < latest(first) ? each : first)).unit
    }
    // the earliest is not always the best
    const waits = this.random() < 0.3
    const later = () => (waits && this.random() < 0.1 ? this.random() * this.pick(laterBy) : 0)
    if (!this.sequence.layout.layMixed(units, next, later, limit)) return false
    laid.push(...units)
    return true
  }
  private layBack(pieces: readonly number[], byPiece: readonly number[][], laid: number[], limit: number): boolean {
    for (const piece of pieces) {
      // now and then a piece waits, so that the next may be there first
      const delay = this.random() < 0.15 ? this.pick([1, 2, 3]) * dayMinutes * this.random() : 0
      for (const unit of byPiece[piece] ?? []) {
        if (!this.sequence.layout.lay(unit, delay)) return false
        laid.push(unit)
        if (this.sequence.layout.cost > limit) return false
      }
    }
    return true
  }
  /** One to four pieces, mostly neighbours in time. */
  private chosen(): number[] {
    const { pieces } = this.problem
    // of few pieces all may be taken out
    const many = Math.min(pieces.length, 1 + Math.floor(this.random() ** 2 * 5 + this.random()))
    const first = Math.floor(this.random() * pieces.length)
    const endOf = (piece: number) => this.sequence.layout.endOf(pieces[piece]?.final ?? 0)
    const near = pieces
      .map((_, piece) => piece)
      .filter((piece) => piece !== first)
      .sort((a, b) => Math.abs(endOf(a) - endOf(first)) - Math.abs(endOf(b) - endOf(first)))
    const others: number[] = []
    while (others.length < many - 1) {
      const next = near.splice(Math.floor(this.random() ** 2 * near.length), 1)[0]
      if (next === undefined) break
      others.push(next)
    }
    return [first, ...others]
  }
  private shuffled(all: readonly number[]): number[] {
    const rest = [...all]
    return all.map(() => rest.splice(Math.floor(this.random() * rest.length), 1)[0] ?? 0)
  }

  result(): PlannedWeek {
    if (!this.best) {
      const step = this.sequence.units[this.sequence.failed]?.steps[0] ?? 0
      throw new NoSchedule(
        step,
        `No order keeps every window that ruins a coat: step ${step} (${this.problem.steps[step]?.name}) has no place.`,
      )
    }
    const { missed } = checkWeek(this.problem, this.best)
    return { ...this.best, cost: this.cost, bound: lowerBound(this.problem, this.earliest), missed }
  }
}
