/**
 * Weeks by the days on which their pieces are to end. All promises kept is tried first; then one that is given up for a day, the cheapest
 * first, and so on; and of the best week that there is one piece is tried sooner, whichever others may give way for it. Pure.
 */
import { Moments } from './byMoments'
import { never } from './calendar'
import { checkWeek } from './check'
import { Looks } from './look'
import type { WorkshopProblem } from './problem'
import type { Search } from './search'

const dayMinutes = 1440
/** weeks beside each other at first; twice as many once so often none was found by the same days, or by days that ask for less */
const width = { first: 6, doubled: 2, most: 100 }
const widthOf = (failed: number) => Math.min(width.most, Math.floor(width.first * 2 ** (failed / width.doubled)))
/** a day that was tried before is thought dearer, by so much for each try */
const again = 0.4
/**
 * How often days are given up, else one piece is brought sooner; how often the others may end when they were promised, not only on the evening
 * on which they do; the piece is a late one, and is tried in time at once, else an evening sooner; one that is not late is tried on an evening, the one
 * before or any, else by less sooner; one more gives way.
 */
const often = { giveUp: 0.5, loose: 0.6, late: 0.8, inTime: 0.5, evening: 0.8, next: 0.6, more: 0.4 }
const mostIdle = 200
/** Days by which so often no week was found, or by days that ask for less, are not tried for a piece that would be brought sooner. */
const mostFailed = 16
/** An evening so near is the same day's. */
const sameDay = 240

interface Wish {
  dates: readonly number[]
  /** what it costs that pieces are late by them */
  late: number
  tries: number
}
/** Needs a week to begin with; nothing is worked so where several spray at once. */
export function searchPromises(search: Search, until: number): void {
  const { problem } = search
  if (!search.best || search.spent() >= until || problem.pools.spray !== 1) return
  const promises = new Promises(search, until)
  // dates drawn by chance that could make nothing cheaper are not tried: after many of them there are none left
  let idle = 0
  while (search.spent() < until && idle < mostIdle && !promises.isBest()) {
    const isTried = (search.random() < often.giveUp && promises.giveUp()) || promises.bringSooner()
    idle = isTried ? 0 : idle + 1
  }
}

class Promises {
  private readonly moments: Moments
  private readonly evenings: readonly number[]
  private readonly soonest: readonly number[]
  /** in time, where that can be */
  private readonly wanted: readonly number[]
  /** by piece, in the best week */
  private ends: readonly number[]
  private readonly wishes: Wish[] = []
  private readonly known = new Set<string>()
  /** by which no week was found */
  private readonly failed: (readonly number[])[] = []
  private readonly looks: Looks

  constructor(
    private readonly search: Search,
    private readonly until: number,
  ) {
    const { problem, earliest, best } = search
    this.moments = new Moments(search)
    this.looks = new Looks(search)
    this.evenings = eveningsOf(problem)
    this.soonest = problem.pieces.map(({ final }) => earliest.end[final] ?? 0)
    this.wanted = problem.pieces.map(({ due }, piece) => Math.min(problem.horizon, Math.max(due, this.soonest[piece] ?? 0)))
    this.ends = best ? this.endsOf(checkWeek(problem, best).end) : []
    this.wish(this.wanted)
  }

  private endsOf(end: readonly number[]): number[] {
    return this.search.problem.pieces.map(({ final }) => end[final] ?? 0)
  }
  private lateness(dates: readonly number[]): number {
    const { pieces, cost } = this.search.problem
    return pieces.reduce((sum, { due, weight }, piece) => sum + cost.tardy * weight * Math.max(0, (dates[piece] ?? 0) - due), 0)
  }
  /** What it costs that pieces are about until then. */
  private about(dates: readonly number[]): number {
    return dates.reduce((sum, date) => sum + date, 0) * this.search.problem.cost.flow
  }
  private eveningBefore(minute: number): number {
    return this.evenings.findLast((evening) => evening < minute - sameDay) ?? minute
  }
  private eveningAfter(minute: number): number {
    return this.evenings.find((evening) => evening > minute + sameDay) ?? this.search.problem.horizon
  }
  private wish(dates: readonly number[]): void {
    const key = dates.join()
    if (this.known.has(key)) return
    this.known.add(key)
    this.wishes.push({ dates, late: this.lateness(dates), tries: 0 })
  }
  /** Whether every piece ends as soon as it could if it were alone. */
  isBest(): boolean {
    return this.lateness(this.soonest) + this.about(this.soonest) >= this.search.cost
  }

  /** How often no week was found by these dates, or by any that ask for less. */
  private failedBy(dates: readonly number[]): number {
    return this.failed.filter((others) => others.every((date, piece) => date >= (dates[piece] ?? 0))).length
  }
  /** When the pieces of a week end that was found for these dates, near to others where that can be; the best is taken note of. Null where none was. */
  private seek(dates: readonly number[], wished?: readonly number[]): readonly number[] | null {
    const { search, moments, until } = this
    const look = this.looks.next(widthOf(this.failedBy(dates)))
    const week = moments.work(look, { dates, wished }, () => search.spent() >= until)
    this.looks.came(moments.came)
    if (!week) {
      this.failed.push(dates)
      return null
    }
    // it was worked by what is known flat; whether it may be worked is told apart from that
    const { faults, cost, end } = checkWeek(search.problem, week)
    if (faults.length > 0) return null
    const stir = search.stirOf({ startOfStep: (step) => week.start[step] ?? never })
    search.better(cost, { stir, layout: { schedule: () => week, overfull: 0 } })
    const ends = this.endsOf(end)
    if (search.best === week) this.ends = ends
    return ends
  }

  /** Tries the cheapest days that were tried least; false where all of them cost more than the best week. */
  giveUp(): boolean {
    const { search, wishes } = this
    const least = this.about(this.soonest)
    const worthOf = ({ late, tries }: Wish) => (late + least >= search.cost ? Infinity : (late + least) * (1 + again * tries))
    let next: Wish | undefined
    let worth = Infinity
    for (const each of wishes)
      if (worthOf(each) < worth) {
        next = each
        worth = worthOf(each)
      }
    if (!next) return false
    const { dates, tries } = next
    next.tries += 1
    if (this.seek(dates)) wishes.splice(wishes.indexOf(next), 1)
    else if (tries === 0)
      for (const piece of dates.keys()) this.wish(dates.map((date, k) => (k === piece ? this.eveningAfter(date) : date)))
    return true
  }

  /** Tries one piece of the best week sooner; false where the dates drawn for it could make nothing cheaper. */
  bringSooner(): boolean {
    const { search, ends } = this
    const { pieces } = search.problem
    const isLoose = search.random() < often.loose
    const dates = pieces.map(({ due }, piece) =>
      isLoose ? Math.max(ends[piece] ?? 0, due) : this.sameEvening(ends[piece] ?? 0, due),
    )
    const piece = this.bringOne(dates)
    // others give way for it
    while (search.random() < often.more) {
      const other = search.pick([...pieces.keys()])
      if (other !== piece) dates[other] = this.eveningAfter(Math.max(dates[other] ?? 0, pieces[other]?.due ?? 0))
    }
    const wished = dates.map((date, k) => Math.min(date, ends[k] ?? 0))
    if (this.lateness(dates) + this.about(wished) >= search.cost || this.failedBy(dates) > mostFailed) return false
    const found = this.seek(dates, wished)
    if (found && this.ends !== found) this.settle(found, ends, piece)
    return true
  }
  /** Of a week in which one piece ends sooner, the others are brought back to the evenings they had, one after the other, while that may be worth it. */
  private settle(found: readonly number[], before: readonly number[], piece: number): void {
    const { search } = this
    const { pieces } = search.problem
    let ends = found
    const later = (k: number) => (ends[k] ?? 0) - (before[k] ?? 0)
    const left = new Set(pieces.keys())
    left.delete(piece)
    while (left.size > 0 && search.spent() < this.until) {
      const hoped = ends.map((end, k) => (left.has(k) ? Math.min(end, before[k] ?? 0) : end))
      if (this.lateness(hoped) + this.about(hoped) >= search.cost) return
      const next = [...left].reduce((most, k) => (later(k) > later(most) ? k : most))
      left.delete(next)
      const evening = this.sameEvening(before[next] ?? 0, pieces[next]?.due ?? 0)
      if ((ends[next] ?? 0) <= evening) continue
      const dates = pieces.map(({ due }, k) => (k === next ? evening : this.sameEvening(ends[k] ?? 0, due)))
      const sooner = this.seek(
        dates,
        hoped.map((end, k) => Math.min(end, dates[k] ?? 0)),
      )
      if (sooner && this.ends === sooner) return
      ends = sooner ?? ends
    }
  }
  /** The evening of a day on which a piece ends; when it is promised, where that is before. */
  private sameEvening(end: number, due: number): number {
    const evening = this.evenings.find((each) => each >= end) ?? this.search.problem.horizon
    return end <= due ? Math.min(evening, due) : evening
  }
  /** Puts a sooner date for one piece, mostly one that is late; answers with which. */
  private bringOne(dates: number[]): number {
    const { search, ends, wanted, soonest } = this
    const { pieces } = search.problem
    const late = pieces.map(({ due, weight }, piece) => weight * Math.max(0, (ends[piece] ?? 0) - due))
    const sum = late.reduce((all, each) => all + each, 0)
    if (sum > 0 && search.random() < often.late) {
      let at = search.random() * sum
      const piece = Math.max(
        0,
        late.findIndex((each) => (at -= each) < 0),
      )
      dates[piece] = Math.max(wanted[piece] ?? 0, search.random() < often.inTime ? 0 : this.eveningBefore(ends[piece] ?? 0))
      return piece
    }
    const piece = search.pick([...pieces.keys()])
    const end = ends[piece] ?? 0
    const least = soonest[piece] ?? 0
    if (search.random() < often.evening) {
      const before = this.evenings.filter((evening) => evening >= least && evening < end - sameDay)
      dates[piece] =
        before.length === 0
          ? Math.max(least, this.eveningBefore(end))
          : search.random() < often.next
            ? (before.at(-1) ?? end)
            : search.pick(before)
    } else dates[piece] = Math.max(least, Math.floor(end - (search.random() * dayMinutes) / 4))
    return piece
  }
}

/** The minutes at which everybody has gone home. */
function eveningsOf({ painters, horizon }: WorkshopProblem): number[] {
  const last = new Map<number, number>()
  for (const { work } of painters)
    for (const [, to] of work) {
      const day = Math.floor((to - 1) / dayMinutes)
      if (to <= horizon) last.set(day, Math.max(last.get(day) ?? 0, to))
    }
  return [...last.values()].sort((one, other) => one - other)
}
