/**
 * Weeks by the days on which their pieces are to end. All promises kept is tried first; then one that is given up for a day, the cheapest
 * first, and so on; and of the best week that there is one piece is tried sooner, whichever others may give way for it. Pure.
 */
import { costOfEnd } from './bound'
import { never } from './calendar'
import { checkWeek, worthOf } from './check'
import { aboutBy, latenessBy, oneGivenUp } from './datesCost'
import { Evenings } from './evenings'
import { drawnTogether } from './goOn'
import type { WorkshopSchedule } from './problem'
import type { Grain, Search } from './search'
import { Ways } from './ways'

/** minutes by which a piece is tried sooner on the same day, at most */
const mostLess = 360
/** a day that was tried before is thought dearer, by so much for each try */
const dearer = 0.4
/**
 * How often days are given up, else one piece is brought sooner; how often the others may end when they were promised then, not only on the
 * evening on which they do; and how often one more gives way.
 */
const often = { giveUp: 0.5, loose: 0.3, more: 0.1 }
/** a date at which a piece was tried before is so much less likely to be drawn for it again */
const lessAgain = 0.7
const mostIdle = 200

interface Wish {
  dates: readonly number[]
  /** what it costs that pieces are late by them */
  late: number
  tries: number
}
/** Needs a week to begin with; nothing is worked so where several spray at once. `from`: the days of another week are tried first. */
export function searchPromises(search: Search, until: number, from?: WorkshopSchedule): void {
  const { problem } = search
  if (!search.best || search.spent() >= until || problem.pools.spray !== 1) return
  const promises = new Promises(search, until)
  if (from) promises.seekAsIn(from)
  // dates drawn by chance that could make nothing cheaper are not tried: after many of them there are none left
  let idle = 0
  while (search.spent() < until && idle < mostIdle && !promises.isBest()) {
    const isTried = (search.random() < often.giveUp && promises.giveUp()) || promises.bringSooner()
    idle = isTried ? 0 : idle + 1
  }
}

class Promises {
  private readonly ways: Ways
  /** by which a week is drawn together */
  private readonly drawn: readonly Grain[]
  private readonly evenings: Evenings
  private readonly soonest: readonly number[]
  /** in time, where that can be */
  private readonly wanted: readonly number[]
  /** by piece, in the best week */
  private ends: readonly number[]
  private readonly wishes: Wish[] = []
  private readonly known = new Set<string>()
  /** by piece and date: how often it was tried to bring it there in the best week */
  private readonly brought = new Map<string, number>()

  constructor(
    private readonly search: Search,
    private readonly until: number,
  ) {
    const { problem, earliest, best } = search
    this.ways = new Ways(search)
    this.drawn = [search.coarse, search.fine]
    this.evenings = new Evenings(problem)
    this.soonest = problem.pieces.map(({ final }) => earliest.end[final] ?? 0)
    this.wanted = problem.pieces.map(({ due }, piece) => Math.min(problem.horizon, Math.max(due, this.soonest[piece] ?? 0)))
    this.ends = best ? this.endsOf(checkWeek(problem, best).end) : []
    this.wish(this.wanted)
  }
  /** Tries the days on which the pieces of another week end; of those that are new, when they are promised. */
  seekAsIn({ start }: WorkshopSchedule): void {
    const { pieces } = this.search.problem
    const dates = pieces.map(({ final, due }, piece) => {
      const began = start[final] ?? never
      const date = began === never ? (this.wanted[piece] ?? 0) : this.evenings.of(began, due)
      return Math.max(date, this.soonest[piece] ?? 0)
    })
    this.seek(dates)
  }

  private endsOf(end: readonly number[]): number[] {
    return this.search.problem.pieces.map(({ final }) => end[final] ?? 0)
  }
  private lateness(dates: readonly number[]): number {
    return latenessBy(this.search.problem, dates)
  }
  private about(dates: readonly number[]): number {
    return aboutBy(this.search.problem, dates)
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

  /**
   * When the pieces of a week end that was found for these dates, or for what was given up of them, though not of the piece that is `kept`; near to
   * others where that can be. The best is taken note of. Null where none was found.
   */
  private seek(dates: readonly number[], wished?: readonly number[], kept?: number): readonly number[] | null {
    const { search, until } = this
    const { best } = search
    const way = this.ways.next()
    const least = this.about(this.soonest)
    const isWorth = (piece: number, late: number) => piece !== kept && late + least < search.cost
    const less = oneGivenUp(search.problem, this.evenings, { isWorth, around: () => search.around() })
    const week = way.work({ dates, wished, less }, () => search.spent() >= until)
    const ends = week && this.noteEarly(week)
    way.came({ dates, isFound: isBy(ends, dates), isBest: search.best !== best })
    return ends
  }
  /** Takes note of a week, and of it as early as it may be, or as it was that is gone on from; answers with when the pieces end in the cheapest. Null where none may be worked. */
  private noteEarly(week: WorkshopSchedule): readonly number[] | null {
    const { search } = this
    let [cheapest, ends]: [number, readonly number[] | null] = [Infinity, null]
    const { from } = search.options
    const early = this.drawn.map((grain) => drawnTogether(search, grain, week))
    const stays = from ? this.drawn.map((grain) => drawnTogether(search, grain, week, from)) : []
    for (const each of [week, ...early, ...stays]) {
      if (!each) continue
      // it was worked by what is known flat; whether it may be worked is told apart from that
      const checked = checkWeek(search.problem, each)
      if (checked.faults.length > 0) continue
      const own = this.endsOf(checked.end)
      const worth = search.betterWeek(each, worthOf(search.problem, checked))
      // where a week is gone on from the best need not be the cheapest: what is moved counts, too
      if (search.best === each) {
        this.ends = own
        this.brought.clear()
      }
      if (worth >= cheapest) continue
      cheapest = worth
      ends = own
    }
    return ends
  }

  /** Tries the cheapest days that were tried least; false where all of them cost more than the best week. */
  giveUp(): boolean {
    const { search, wishes } = this
    const least = this.about(this.soonest)
    const worthOf = ({ late, tries }: Wish) => (late + least >= search.cost ? Infinity : (late + least) * (1 + dearer * tries))
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
    if (isBy(this.seek(dates), dates)) wishes.splice(wishes.indexOf(next), 1)
    else if (tries === 0)
      for (const piece of dates.keys()) this.wish(dates.map((date, k) => (k === piece ? this.evenings.after(date) : date)))
    return true
  }

  /** Tries one piece of the best week sooner; false where the dates drawn for it could make nothing cheaper. */
  bringSooner(): boolean {
    const { search, ends } = this
    const { pieces } = search.problem
    const drawn = this.drawOne()
    if (!drawn) return false
    const { piece, date } = drawn
    const isLoose = search.random() < often.loose
    const dates = pieces.map(({ due }, k) => (isLoose ? Math.max(ends[k] ?? 0, due) : this.evenings.of(ends[k] ?? 0, due)))
    dates[piece] = date
    // others give way for it
    while (search.random() < often.more) {
      const other = search.pick([...pieces.keys()])
      if (other !== piece) dates[other] = this.evenings.after(Math.max(dates[other] ?? 0, pieces[other]?.due ?? 0))
    }
    const wished = dates.map((each, k) => Math.min(each, ends[k] ?? 0))
    if (this.lateness(dates) + this.about(wished) >= search.cost) return false
    const found = this.seek(dates, wished, piece)
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
      const evening = this.evenings.of(before[next] ?? 0, pieces[next]?.due ?? 0)
      if ((ends[next] ?? 0) <= evening) continue
      const dates = pieces.map(({ due }, k) => (k === next ? evening : this.evenings.of(ends[k] ?? 0, due)))
      const sooner = this.seek(
        dates,
        hoped.map((end, k) => Math.min(end, dates[k] ?? 0)),
      )
      if (sooner && this.ends === sooner) return
      ends = sooner ?? ends
    }
  }
  /** One piece of the best week, and a sooner date for it: the likelier the more that is worth, and the less often it was tried. Null where none ends sooner. */
  private drawOne(): Bringing | null {
    const { search, ends, soonest, brought } = this
    const { problem } = search
    const all = ends.flatMap((end, piece) => {
      const least = soonest[piece] ?? 0
      const less = Math.floor(end - search.random() * mostLess)
      return [...this.evenings.before(end), this.wanted[piece] ?? 0, less]
        .filter((date) => date >= least && date < end)
        .map((date): Bringing => {
          const tries = brought.get(bringingOf(piece, date)) ?? 0
          return { piece, date, worth: (costOfEnd(problem, piece, end) - costOfEnd(problem, piece, date)) * lessAgain ** tries }
        })
    })
    let at = search.random() * all.reduce((sum, { worth }) => sum + worth, 0)
    const drawn = all.find(({ worth }) => (at -= worth) < 0)
    if (drawn) {
      const key = bringingOf(drawn.piece, drawn.date)
      brought.set(key, (brought.get(key) ?? 0) + 1)
    }
    return drawn ?? null
  }
}

/** Whether there are ends, and all by their dates. */
const isBy = (ends: readonly number[] | null, dates: readonly number[]): boolean =>
  ends?.every((end, piece) => end <= (dates[piece] ?? 0)) ?? false
/** A piece that is tried by a sooner date, and what that would be worth. */
interface Bringing {
  piece: number
  date: number
  worth: number
}
const bringingOf = (piece: number, date: number) => `${piece} ${date}`
