/**
 * A bound that sees what hands, drying places and the booth are worth: prices are raised where more is hired than there is and lowered where
 * less is, first in slots three times as long, then in those of the grid, until a time is over. The most that any of those prices shows
 * holds (Lagrange; the waits and windows of each piece are kept exactly). The time it takes to change the brush isn't seen. Pure.
 */
import { type Earliest, earliestOf } from './bound'
import { PricedWeek } from './priced'
import { lastMinute, lastMinutes, mostOfEach } from './priceTree'
import { NoSchedule, type WorkshopProblem } from './problem'
import { startsOf } from './starts'

interface Known {
  /** what a week costs that is known: no bound is higher, and nothing dearer is looked at */
  cost: number
  /** the share of the time that is over; each asking is a round */
  spent: () => number
  until: number
}

/** Slots are so much longer at first, and by when of the time those of the grid follow. */
const levels: { longer: number; until: number }[] = [
  { longer: 6, until: 0.42 },
  { longer: 3, until: 0.7 },
  { longer: 1, until: 1 },
]
/** How far towards what is known the prices go in one round, at first and when they are only refined; how much of the last round goes on. */
const [bold, careful, keepsOn] = [1, 0.15, 0.7]
/** After so many rounds that brought nothing the steps are halved; smaller than this they are not worth taking. */
const [patience, least] = [12, 0.002]
/** Rounds in which prices are alike through a whole stretch of hours, an hour, twenty minutes; and what is held through nights, so much longer. */
const alike = [
  { until: 20, slots: 1 << 20, held: 96 },
  { until: 50, slots: 12, held: 48 },
  { until: 80, slots: 4, held: 16 },
]
/**
 * How late a piece is looked at: until its end alone costs so many times what all of it comes to by the prices, and so much of the week's cost more;
 * every so many rounds it is told anew, and taken where that leaves out so much of all.
 */
const late = { times: 1.3, ofAll: 0.03, rounds: 10, less: 0.12 }

/** -Infinity where the time was too short for any. */
export function boundByPrices(problem: WorkshopProblem, earliest: Earliest, { cost, spent, until }: Known): number {
  const began = spent()
  let before: Prices | null = null
  let best = -Infinity
  for (const { longer, until: share } of levels) {
    const over = began + (until - began) * share
    const slots = longer === 1 ? { problem, earliest, load: problem.steps.map(() => 1) } : roughOf(problem, longer)
    if (!slots || (longer > 1 && spent() >= over)) continue
    const now: Prices = new Prices(slots, { longer, cost, before })
    best = now.raise(spent, over)
    before = now
  }
  return best
}

interface Slots {
  problem: WorkshopProblem
  earliest: Earliest
  load: readonly number[]
}
/** The prices of everything that can be hired, in slots so much longer than the grid's. */
class Prices {
  private readonly week: PricedWeek
  private readonly longer: number
  private readonly cost: number
  private readonly isFirst: boolean
  /** no piece ends later without the week costing more than is known */
  private readonly ends: readonly number[]

  constructor(
    private readonly slots: Slots,
    { longer, cost, before }: { longer: number; cost: number; before: Prices | null },
  ) {
    const { problem, earliest } = slots
    ;[this.longer, this.cost, this.isFirst] = [longer, cost, before === null]
    this.ends = lastMinutes(problem, earliest, mostOfEach(problem, earliest, cost))
    const last = lastMinute(problem, earliest, this.ends)
    this.week = new PricedWeek({ ...slots, starts: startsOf(problem, earliest.calendars, last), last })
    this.week.fit(before ? this.likely(before.week.costs) : this.ends)
    if (before) this.take(before)
  }
  private likely(costs: readonly number[]): number[] {
    const { problem, earliest } = this.slots
    const most = costs.map((each) => each * late.times + this.cost * late.ofAll)
    return lastMinutes(problem, earliest, most).map((end, piece) => Math.min(end, this.ends[piece] ?? end))
  }
  /** The prices of longer slots. */
  private take({ week, longer }: Prices): void {
    const ratio = longer / this.longer
    this.week.hires.forEach(({ price }, k) => {
      const rough = week.hires[k]?.price
      for (let slot = 0; slot < price.length; slot += 1) price[slot] = (rough?.[Math.floor(slot / ratio)] ?? 0) / ratio
    })
  }

  /** The most that was shown; the prices are left where it was. */
  raise(spent: () => number, until: number): number {
    const { week, cost } = this
    const { hires } = week
    const over = hires.map(({ price }) => new Float64Array(price.length))
    const course = hires.map(({ price }) => new Float64Array(price.length))
    let kept = hires.map(({ price }) => price.slice())
    let [best, step, since] = [-Infinity, this.isFirst ? bold : careful, 0]
    for (let round = 0; round === 0 || spent() < until; round += 1) {
      const value = week.least()
      if (value > best) {
        if (value > best + Math.abs(best) * 1e-4) since = 0
        best = value
        kept = hires.map(({ price }) => price.slice())
      } else since += 1
      if (value === -Infinity || best >= cost) break
      if (round % late.rounds === late.rounds - 1) this.fit()
      if (since > patience) {
        ;[step, since] = [step / 2, 0]
        if (step < least) break
        hires.forEach(({ price }, k) => kept[k] && price.set(kept[k]))
        for (const each of course) each.fill(0)
        continue
      }
      week.overdrawn(over)
      const together = this.isFirst ? alike.find((each) => round < each.until) : undefined
      if (together) hires.forEach(({ open }, k) => over[k] && level(over[k], open, open ? together.slots : together.held))
      move(week, { over, course, by: step * (cost - value) })
    }
    hires.forEach(({ price }, k) => kept[k] && price.set(kept[k]))
    return best
  }
  /** As late as is likely now, where that is much less, or where something would come to more than it costs to be later. */
  private fit(): void {
    const { week } = this
    const { problem, earliest } = this.slots
    const likely = this.likely(week.costs)
    const dear = lastMinutes(problem, earliest, week.costs)
    const from = problem.pieces.reduce((sum, { final }) => sum + (earliest.end[final] ?? 0), 0)
    const now = total(week.ends)
    if (now - total(likely) > late.less * (now - from) || dear.some((end, piece) => end > (week.ends[piece] ?? end)))
      week.fit(likely)
  }
}
const total = (each: readonly number[]): number => each.reduce((sum, one) => sum + one, 0)

/** The same week in longer slots, everything rounded; null where it can't be told in them. */
function roughOf(problem: WorkshopProblem, longer: number): Slots | null {
  const grid = problem.grid * longer
  const steps = problem.steps.map((step) => ({ ...step, dur: Math.max(1, Math.round(step.dur / grid)) * grid }))
  const lags = problem.lags.map((lag) => ({
    ...lag,
    min: Math.floor(lag.min / grid) * grid,
    max: lag.max === null ? null : Math.ceil(lag.max / grid) * grid,
  }))
  const rough = { ...problem, grid, steps, lags }
  try {
    return { problem: rough, earliest: earliestOf(rough), load: steps.map(({ dur }, k) => (problem.steps[k]?.dur ?? dur) / dur) }
  } catch (trouble) {
    if (trouble instanceof NoSchedule) return null
    throw trouble
  }
}

/** Prices go where more is hired than there is, and on some way as they went before; none falls below nothing. */
function move(
  { hires }: PricedWeek,
  { over, course, by }: { over: readonly Float64Array[]; course: readonly Float64Array[]; by: number },
): void {
  let length = 0
  hires.forEach(({ price }, k) => {
    const [now, way] = [over[k], course[k]]
    if (!now || !way) return
    for (let slot = 0; slot < price.length; slot += 1) {
      const free = price[slot] === 0
      const here = now[slot] ?? 0
      let to = (free && here < 0 ? 0 : here) + keepsOn * (way[slot] ?? 0)
      if (free && to < 0) to = 0
      way[slot] = to
      length += to * to
    }
  })
  if (length === 0) return
  const far = by / length
  hires.forEach(({ price }, k) => {
    const way = course[k]
    if (way)
      for (let slot = 0; slot < price.length; slot += 1) price[slot] = Math.max(0, (price[slot] ?? 0) + far * (way[slot] ?? 0))
  })
}

/** One figure for as many slots as there are together, of those that are open. */
function level(over: Float64Array, open: Uint8Array | null, slots: number): void {
  for (let from = 0; from < over.length;) {
    let to = from
    let sum = 0
    while (to < over.length && to - from < slots && (!open || open[to] === 1)) {
      sum += over[to] ?? 0
      to += 1
    }
    if (to === from) from += 1
    else {
      over.fill(sum / (to - from), from, to)
      from = to
    }
  }
}
