/**
 * A week worked from one moment to the next: each piece is to end by a date. Of all that may be begun next the likeliest go on, several weeks
 * beside each other; one in which a step can't be over in time, or hands can't do what must be over by a day, is given up. Pure.
 */
import { costOfEnd, type Earliest } from './bound'
import { never } from './calendar'
import { type Choice, Choices, insert } from './choices'
import { Front } from './front'
import { GivingWay, type Less } from './givingWay'
import type { Look } from './look'
import type { WorkshopSchedule } from './problem'
import type { Search } from './search'
import { StepFacts } from './stepFacts'
import { type Towards, towards } from './towards'
import { Urgency } from './urgency'
import { open } from './waitTable'
import { Weeks } from './weeks'

const firstLook: Look = {
  ...{ width: 0, alike: 1, children: 1, kin: { steps: 1, share: 1 } },
  ...{ near: 1, byWork: false, hands: 1, chance: 0, idle: 0 },
}
/** what a missed window counts beside a step that is as late as can be, by what it costs */
const missedCounts = 1e-3
/** of what may be worked next so many of the most urgent are weighed, and of the rest this share */
const weighed = { most: 6, share: 0.15 }
/** so many times the likeliest are looked at, for some of them are alike or of one kin */
const spare = 9
/** so many weeks of a kin may go on whatever its share */
const leastKin = 2

/** By piece: when it must be over, and when it is wished for; the same where nothing is said. */
export interface Dates {
  dates: readonly number[]
  wished?: readonly number[] | undefined
  /** what is given up where not all of them can be kept; nothing, where nothing is said */
  less?: Less | undefined
}
interface Made {
  from: Int32Array
  step: Int32Array
  by: Int32Array
  start: Int32Array
}

/** What is asked of a search: its problem, in which order steps wait for each other, whose hours. */
type Asking = Pick<Search, 'problem' | 'pins' | 'random'> & { earliest: Pick<Earliest, 'calendars' | 'order'> }

export class Moments {
  /** how much of the last week was worked before it was given up: a share of its steps */
  came = 0
  readonly facts: StepFacts
  private readonly front: Front
  private readonly urgency: Urgency
  private readonly choices = new Choices()
  private readonly marks: Float64Array
  private weeks: [Weeks, Weeks]
  private width = 1
  private look = firstLook
  private readonly givingWay: GivingWay
  /** the least times that are left until the most urgent steps are wished for, in their order */
  private readonly urgent = new Float64Array(weighed.most)
  private wished: Int32Array = new Int32Array(0)

  constructor(private readonly search: Asking) {
    const { problem, earliest, pins, random } = search
    this.facts = new StepFacts(problem, earliest.calendars, pins)
    this.front = new Front(this.facts)
    this.urgency = new Urgency(this.facts)
    this.weeks = [new Weeks(this.facts, 1), new Weeks(this.facts, 1)]
    this.givingWay = new GivingWay(this.facts, earliest.order)
    this.marks = Float64Array.from({ length: 2 * this.facts.count }, () => Math.floor(random() * 2 ** 40))
  }

  /** A week in which every piece ends by its date, or by what is given up of it; null where none was found, or the time is over. */
  work(look: Look, { dates, wished, less }: Dates, isOver: () => boolean): WorkshopSchedule | null {
    const { facts, search } = this
    const { count } = facts
    this.came = 0
    this.look = look
    this.urgency.of(look)
    let until = towards(dates, facts, search.earliest.order)
    if (!until) return null
    this.wished = (wished ? towards(wished, facts, search.earliest.order) : null)?.start ?? until.start
    const isWider = look.width > this.width
    if (isWider) {
      this.width = look.width
      this.weeks = [new Weeks(facts, look.width), new Weeks(facts, look.width)]
    }
    this.givingWay.begin(dates, less ?? null, isWider)
    let [now, then] = this.weeks
    now.begin()
    const made: Made[] = []
    while (made.length < count) {
      if (isOver()) return null
      const nth = made.length
      this.came = Math.max(this.came, nth / count)
      this.givingWay.keep(nth, now, this.width)
      if (nth % look.kin.steps === 0) now.found()
      this.weighAll(now, until)
      then.size = 0
      const next = this.choose(now, then)
      if (then.size === 0) {
        const given = this.givingWay.giveWay(nth, now, (less) => this.weighAll(now, less) > 0)
        if (!given) return null
        until = given.until
        made.length = given.steps
        continue
      }
      made.push(next)
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
    const { problem } = this.search
    const { count } = this.facts
    const costOf = (week: number) =>
      problem.pieces.reduce(
        (sum, { final }, piece) => sum + costOfEnd(problem, piece, end[week * count + final] ?? 0),
        missed[week] ?? 0,
      )
    let best = 0
    for (let week = 1; week < size; week += 1) if (costOf(week) < costOf(best)) best = week
    return best
  }
  private choose(now: Weeks, then: Weeks): Made {
    const { choices, look, marks } = this
    const list = () => new Int32Array(look.width)
    const made = { from: list(), step: list(), by: list(), start: list() }
    const alike = new Map<number, number>()
    const children = new Uint8Array(now.size)
    const kin = new Uint8Array(look.width)
    const mostKin = Math.max(leastKin, look.kin.share * look.width)
    for (const k of choices.likeliest(look.width * spare)) {
      if (then.size === look.width) break
      const choice = choices.get(k)
      const { week, step } = choice
      const mark =
        3 * ((now.mark[2 * week] ?? 0) + (marks[2 * step] ?? 0)) + ((now.mark[2 * week + 1] ?? 0) + (marks[2 * step + 1] ?? 0))
      const many = alike.get(mark) ?? 0
      const founder = now.founder[week] ?? 0
      if (many >= look.alike || (children[week] ?? 0) >= look.children || (kin[founder] ?? 0) >= mostKin) continue
      alike.set(mark, many + 1)
      children[week] = (children[week] ?? 0) + 1
      kin[founder] = (kin[founder] ?? 0) + 1
      const at = then.size
      made.from[at] = week
      made.step[at] = step
      made.by[at] = choice.by
      made.start[at] = choice.start
      then.add(now, choice, marks)
    }
    return made
  }

  /** What all of them may go on with; answers with how many that are. */
  private weighAll(now: Weeks, until: Towards): number {
    this.choices.size = 0
    for (let week = 0; week < now.size; week += 1) this.goOn(now, week, until)
    return this.choices.size
  }
  /** Adds what one week may go on with to the choices. */
  private goOn(now: Weeks, week: number, until: Towards): void {
    const { front, look, search } = this
    front.read(now, week, { towards: until, wished: this.wished })
    const { urgent } = this
    urgent.fill(open)
    const isAsked = (nth: number) => front.by[nth] !== never && (front.start[nth] ?? 0) < front.soonest + look.idle
    const slackOf = (nth: number) => (front.wished[nth] ?? 0) - (front.start[nth] ?? 0)
    for (let nth = 0; nth < front.many; nth += 1) if (isAsked(nth)) insert(urgent, slackOf(nth))
    const most = urgent[weighed.most - 1] ?? open
    for (let nth = 0; nth < front.many; nth += 1) {
      if (!isAsked(nth) || (slackOf(nth) > most && search.random() > weighed.share)) continue
      const first = front.startAsFreed(nth)
      if (first === never) continue
      this.weigh(now, week, { nth, start: first, until })
      // begun later, so that no window of what follows it need be missed
      const later = front.fits.from(front.step[nth] ?? 0, front.by[nth] ?? 0, first, 'all')
      if (later > first && later <= front.last(nth)) this.weigh(now, week, { nth, start: later, until })
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
      let begins = Math.max(soonest, front.ready[other] ?? 0)
      if (front.hasWindow[other] === 1 || (!isFreed && front.freesPlace(other))) {
        begins = front.soonestAfter(other, { step, by, start, end })
        if (begins > (front.hardBy[other] ?? 0)) return
        if (begins > (front.softBy[other] ?? 0)) missed += front.penalty[other] ?? 0
        if (front.freesPlace(other) && begins <= free) isFreed = true
      }
      if (begins > (front.latest[other] ?? 0)) return
      sum += this.urgency.between(begins, front.wished[other] ?? 0)
    }
    if (!isFreed) return
    const { waits } = facts
    for (let k = waits.outAt[step] ?? 0; k < (waits.outAt[step + 1] ?? 0); k += 1) {
      const lag = waits.out[k] ?? 0
      const begins = Math.max(soonest, end + (waits.min[lag] ?? 0))
      const last = until.start[waits.to[lag] ?? 0] ?? 0
      if (begins > last) return
      sum += this.urgency.between(begins, this.wished[waits.to[lag] ?? 0] ?? 0)
    }
    const ofHands = left < search.problem.horizon ? look.hands * this.urgency.within(left) : 0
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
}
