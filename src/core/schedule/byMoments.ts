/**
 * A week worked from one moment to the next: each piece is to end by a date. Of all that may be begun next the likeliest go on, several weeks
 * beside each other; one in which a step can't be over in time, or hands can't do what must be over by a day, is given up. Pure.
 */
import { never } from './calendar'
import { type Choice, Choices } from './choices'
import { Front } from './front'
import type { WorkshopSchedule } from './problem'
import type { Search } from './search'
import { StepFacts } from './stepFacts'
import { type Towards, towards } from './towards'
import { open } from './waitTable'
import { Weeks } from './weeks'

export interface Look {
  /** so many weeks beside each other, of which so many have the same steps done */
  width: number
  alike: number
  /** minutes: what is late so much later counts for a third; whether they are those that hands work, or the clock's */
  near: number
  byWork: boolean
  /** what the time that hands have left counts beside that of a step; and how much of all is chance */
  hands: number
  chance: number
  /** minutes for which hands may wait for something while something else could be done */
  idle: number
}
const firstLook: Look = { width: 0, alike: 1, near: 1, byWork: false, hands: 1, chance: 0, idle: 0 }
/** what a missed window counts beside a step that is as late as can be, by what it costs */
const missedCounts = 1e-3
/** of what may be worked next so many of the most urgent are weighed, and of the rest this share */
const weighed = { most: 6, share: 0.15 }
/** so many times the likeliest are looked at, for some of them are alike */
const spare = 3

interface Made {
  from: Int32Array
  step: Int32Array
  by: Int32Array
  start: Int32Array
}

export class Moments {
  /** how much of the last week was worked before it was given up: a share of its steps */
  came = 0
  private readonly facts: StepFacts
  private readonly front: Front
  private readonly choices = new Choices()
  private readonly marks: Float64Array
  private readonly urgents = new Map<number, Float64Array>()
  private weeks: [Weeks, Weeks]
  private width = 1
  private look = firstLook
  private urgent: Float64Array = new Float64Array(0)

  constructor(private readonly search: Search) {
    const { problem, earliest, pins, random } = search
    this.facts = new StepFacts(problem, earliest.calendars, pins)
    this.front = new Front(this.facts)
    this.weeks = [new Weeks(this.facts, 1), new Weeks(this.facts, 1)]
    this.marks = Float64Array.from({ length: 2 * this.facts.count }, () => Math.floor(random() * 2 ** 40))
  }

  /** A week in which every piece ends by its date; null where none was found, or the time is over. */
  work(look: Look, dates: readonly number[], isOver: () => boolean): WorkshopSchedule | null {
    const { facts, search } = this
    const { count } = facts
    this.came = 0
    this.look = look
    this.urgent = this.urgentWithin(look.near)
    const until = towards(dates, facts, search.earliest.order)
    if (!until) return null
    if (look.width > this.width) {
      this.width = look.width
      this.weeks = [new Weeks(facts, look.width), new Weeks(facts, look.width)]
    }
    let [now, then] = this.weeks
    now.begin()
    const made: Made[] = []
    for (let nth = 0; nth < count; nth += 1) {
      if (isOver()) return null
      this.came = nth / count
      this.choices.size = 0
      for (let week = 0; week < now.size; week += 1) this.goOn(now, week, until)
      then.size = 0
      made.push(this.choose(now, then))
      if (then.size === 0) return null
      ;[now, then] = [then, now]
    }
    this.came = 1
    const schedule = { start: new Array<number>(count).fill(0), painter: new Array<number>(count).fill(0) }
    let week = this.cheapest(now)
    for (const { from, step, by, start } of made.reverse()) {
      schedule.start[step[week] ?? 0] = start[week] ?? 0
      schedule.painter[step[week] ?? 0] = by[week] ?? 0
      week = from[week] ?? 0
    }
    return schedule
  }
  private cheapest({ size, end, missed }: Weeks): number {
    const { pieces, cost } = this.search.problem
    const { count } = this.facts
    const costOf = (week: number) =>
      pieces.reduce((sum, { final, due, weight }) => {
        const ends = end[week * count + final] ?? 0
        return sum + cost.flow * ends + cost.tardy * weight * Math.max(0, ends - due)
      }, missed[week] ?? 0)
    let best = 0
    for (let week = 1; week < size; week += 1) if (costOf(week) < costOf(best)) best = week
    return best
  }
  private choose(now: Weeks, then: Weeks): Made {
    const { choices, look, marks } = this
    const list = () => new Int32Array(look.width)
    const made = { from: list(), step: list(), by: list(), start: list() }
    const alike = new Map<number, number>()
    for (const k of choices.likeliest(look.width * spare)) {
      if (then.size === look.width) break
      const choice = choices.get(k)
      const { week, step } = choice
      const mark =
        3 * ((now.mark[2 * week] ?? 0) + (marks[2 * step] ?? 0)) + ((now.mark[2 * week + 1] ?? 0) + (marks[2 * step + 1] ?? 0))
      const many = alike.get(mark) ?? 0
      if (many >= look.alike) continue
      alike.set(mark, many + 1)
      const at = then.size
      made.from[at] = week
      made.step[at] = step
      made.by[at] = choice.by
      made.start[at] = choice.start
      then.add(now, choice, marks)
    }
    return made
  }

  /** Adds what one week may go on with to the choices. */
  private goOn(now: Weeks, week: number, until: Towards): void {
    const { front, look, search } = this
    front.read(now, week, until)
    const slackOf = (nth: number) => (until.start[front.step[nth] ?? 0] ?? 0) - (front.start[nth] ?? 0)
    const isAsked = (nth: number) => front.by[nth] !== never && (front.start[nth] ?? 0) < front.soonest + look.idle
    const slacks: number[] = []
    for (let nth = 0; nth < front.many; nth += 1) if (isAsked(nth)) slacks.push(slackOf(nth))
    const most = slacks.length > weighed.most ? (slacks.sort((one, other) => one - other)[weighed.most - 1] ?? 0) : open
    for (let nth = 0; nth < front.many; nth += 1) {
      if (!isAsked(nth) || (slackOf(nth) > most && search.random() > weighed.share)) continue
      const first = front.startAsFreed(nth, until)
      if (first === never) continue
      this.weigh(now, week, { nth, start: first, until })
      // begun later, so that no window of what follows it need be missed
      const later = front.fits.from(front.step[nth] ?? 0, front.by[nth] ?? 0, first, 'all')
      if (later > first && later <= front.last(nth, until)) this.weigh(now, week, { nth, start: later, until })
    }
  }

  /** Adds one step, begun at a minute, to the choices; unless something else would be too late by that. */
  private weigh(now: Weeks, week: number, { nth, start, until }: { nth: number; start: number; until: Towards }): void {
    const { front, look, facts, search } = this
    const step = front.step[nth] ?? 0
    const by = front.by[nth] ?? 0
    const end = facts.endOf(step, by, start)
    const { soonest, worked } = this.handsAfter(now, week, { by, start, end })
    const left = front.left(nth, worked, until)
    if (left < 0) return
    const certain = (now.missed[week] ?? 0) + (start > (front.softBy[nth] ?? 0) ? (front.penalty[nth] ?? 0) : 0)
    // what is put down where no place is free is put down as another is taken up
    const free = front.freeBy(nth, end)
    let isFreed = free === open
    let missed = certain
    let sum = 0
    for (let other = 0; other < front.many; other += 1) {
      if (other === nth) continue
      const last = until.start[front.step[other] ?? 0] ?? 0
      let begins = Math.max(soonest, front.ready[other] ?? 0)
      if (front.hasWindow(other) || (!isFreed && front.freesPlace(other))) {
        begins = front.soonestAfter(other, { step, by, start, end })
        if (begins > (front.hardBy[other] ?? 0)) return
        if (begins > (front.softBy[other] ?? 0)) missed += front.penalty[other] ?? 0
        if (front.freesPlace(other) && begins <= free) isFreed = true
      }
      if (begins > last) return
      sum += this.urgency(begins, last)
    }
    if (!isFreed) return
    const { waits } = facts
    for (let k = waits.outAt[step] ?? 0; k < (waits.outAt[step + 1] ?? 0); k += 1) {
      const lag = waits.out[k] ?? 0
      const begins = Math.max(soonest, end + (waits.min[lag] ?? 0))
      const last = until.start[waits.to[lag] ?? 0] ?? 0
      if (begins > last) return
      sum += this.urgency(begins, last)
    }
    const ofHands = left < search.problem.horizon ? look.hands * this.urgencyOf(left) : 0
    const choice: Choice = { week, step, by, start, end, rack: front.rack[nth] ?? 0, until: free, missed: certain }
    this.choices.add(missed * missedCounts + sum * (1 + look.chance * search.random()) + ofHands, choice)
  }

  /** When the first hands are free once a step was begun, and how long all of them have worked by when they are. */
  private handsAfter({ free }: Weeks, week: number, { by, start, end }: Pick<Choice, 'by' | 'start' | 'end'>) {
    const { worked, hands, problem } = this.facts
    let soonest = end
    let sum = worked[by]?.[Math.ceil(end / problem.grid)] ?? 0
    for (let hand = 0; hand < hands; hand += 1) {
      if (hand === by) continue
      const at = Math.max(free[week * hands + hand] ?? 0, start)
      sum += worked[hand]?.[Math.ceil(at / problem.grid)] ?? 0
      if (at < soonest) soonest = at
    }
    return { soonest, worked: sum }
  }
  /** What a step counts that can begin at a minute, and must begin by another: from nothing to 1. */
  private urgency(begins: number, last: number): number {
    if (!this.look.byWork) return this.urgencyOf(last - begins)
    const { workedByAll, problem } = this.facts
    return this.urgencyOf((workedByAll[(last / problem.grid) | 0] ?? 0) - (workedByAll[(begins / problem.grid) | 0] ?? 0))
  }
  private urgencyOf(minutes: number): number {
    return this.urgent[(minutes / this.search.problem.grid) | 0] ?? 0
  }
  /** By slot that is left until a step is late: what it counts. */
  private urgentWithin(near: number): Float64Array {
    const known = this.urgents.get(near)
    if (known) return known
    const { grid, horizon } = this.search.problem
    const many = (Math.ceil(horizon / grid) + 1) * this.facts.hands
    const urgent = Float64Array.from({ length: many }, (_, slot) => Math.exp((-slot * grid) / near))
    this.urgents.set(near, urgent)
    return urgent
  }
}
