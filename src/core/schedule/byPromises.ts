/**
 * Weeks by the days on which their pieces are to end. All promises kept is tried first; then one that is given up for a day, the cheapest
 * first, and so on; and of the best week that there is one piece is tried sooner, whichever others may give way for it. Pure.
 */
import { Moments } from './byMoments'
import { never } from './calendar'
import { checkWeek } from './check'
import type { WorkshopProblem } from './problem'
import type { Search } from './search'

const dayMinutes = 1440
/** weeks beside each other at first; twice as many with each further try of the same days */
const width = { first: 20, most: 100 }
const widthOf = (tries: number) => Math.min(width.most, width.first * 2 ** tries)
/** a day that was tried before is thought dearer, by so much for each try */
const again = 0.4
/** What is likely is told one way or another, which is best by chance: see `Look`. */
const looks = {
  near: [60, 120, 240, 480, 960],
  hands: [1, 3, 6, 15],
  alike: [1, 2, 3],
  chance: 0.1,
  idle: { minutes: 120, anyhow: 0.5 },
}
/**
 * How often days are given up, else one piece is brought sooner; how often others may end when they were promised, not only when they do; the piece
 * is a late one, and is tried in time at once, else an evening sooner; one that is not late is tried an evening sooner, else by less; one more
 * gives way; and what is likely is told by chance, else as weeks came furthest by it.
 */
const often = { giveUp: 0.5, loose: 0.6, late: 0.8, inTime: 0.5, evening: 0.5, more: 0.4, anyManner: 0.5 }
const mostIdle = 200
/** An evening so near is the same day's. */
const sameDay = 240

interface Wish {
  dates: readonly number[]
  /** what it costs that pieces are late by them */
  late: number
  tries: number
}
/** A way to tell what is likely, and how far weeks came by it. */
interface Manner {
  near: number
  byWork: boolean
  tries: number
  came: number
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
  private readonly tries = new Map<string, number>()
  private readonly manners: Manner[] = looks.near.flatMap((near) =>
    [true, false].map((byWork) => ({ near, byWork, tries: 0, came: 0 })),
  )

  constructor(
    private readonly search: Search,
    private readonly until: number,
  ) {
    const { problem, earliest, best } = search
    this.moments = new Moments(search)
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

  /** Those by which weeks came furthest, half of the time. */
  private manner(): Manner {
    const { search, manners } = this
    const far = ({ tries, came }: Manner) => (tries === 0 ? 1 : came / tries)
    if (search.random() < often.anyManner) return search.pick(manners)
    return manners.reduce((best, each) => (far(each) > far(best) ? each : best))
  }
  /** Whether a week was found in which pieces end by these dates; the best is taken note of. */
  private seek(dates: readonly number[], tries: number): boolean {
    const { search, moments, until } = this
    const { minutes, anyhow } = looks.idle
    const manner = this.manner()
    const look = {
      width: widthOf(tries),
      ...{ near: manner.near, byWork: manner.byWork },
      ...{ alike: search.pick(looks.alike), hands: search.pick(looks.hands), chance: looks.chance * search.random() },
      idle: search.random() < anyhow ? search.problem.horizon : minutes * search.random(),
    }
    const week = moments.work(look, dates, () => search.spent() >= until)
    manner.tries += 1
    manner.came += moments.came
    if (!week) return false
    // it was worked by what is known flat; whether it may be worked is told apart from that
    const { faults, cost, end } = checkWeek(search.problem, week)
    if (faults.length > 0) return false
    const stir = search.stirOf({ startOfStep: (step) => week.start[step] ?? never })
    search.better(cost, { stir, layout: { schedule: () => week, overfull: 0 } })
    if (search.best === week) this.ends = this.endsOf(end)
    return true
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
    if (this.seek(dates, tries)) wishes.splice(wishes.indexOf(next), 1)
    else if (tries === 0)
      for (const piece of dates.keys()) this.wish(dates.map((date, k) => (k === piece ? this.eveningAfter(date) : date)))
    return true
  }

  /** Tries one piece of the best week sooner; false where the dates drawn for it could make nothing cheaper. */
  bringSooner(): boolean {
    const { search, tries, ends } = this
    const { pieces } = search.problem
    const isLoose = search.random() < often.loose
    const dates = pieces.map(({ due }, piece) => Math.max(ends[piece] ?? 0, isLoose ? due : 0))
    const piece = this.bringOne(dates)
    // others give way for it
    while (search.random() < often.more) {
      const other = search.pick([...pieces.keys()])
      if (other !== piece) dates[other] = this.eveningAfter(Math.max(dates[other] ?? 0, pieces[other]?.due ?? 0))
    }
    const likely = dates.map((date, k) => (isLoose && date <= (pieces[k]?.due ?? 0) ? Math.min(date, ends[k] ?? 0) : date))
    if (this.lateness(dates) + this.about(likely) >= search.cost) return false
    const key = dates.join()
    const tried = tries.get(key) ?? 0
    tries.set(key, tried + 1)
    this.seek(dates, tried)
    return true
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
    const sooner =
      search.random() < often.evening ? this.eveningBefore(end) : Math.floor(end - (search.random() * dayMinutes) / 4)
    dates[piece] = Math.max(soonest[piece] ?? 0, sooner)
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
