/** Two ways of working a week towards dates: from its first minute, and from its last. Which is taken is told by chance, and by what came of it. Pure. */
import { Backwards } from './backwards'
import { type Dates, Moments } from './byMoments'
import { Looks } from './look'
import type { WorkshopSchedule } from './problem'
import type { Search } from './search'

/** weeks beside each other at first, more where there are few steps; twice as many once so often none was found by the same days, or by days that ask for less */
const width = { first: 6, steps: 600, doubled: 2, most: 100 }

class Way {
  private readonly looks: Looks
  /** by which no week was found */
  private readonly failed: (readonly number[])[] = []
  /** how often it was tried, and how often the best week came of it */
  private tries = 0
  private better = 0

  constructor(
    private readonly search: Search,
    private readonly by: Pick<Moments, 'work' | 'came'>,
  ) {
    this.looks = new Looks(search)
  }
  /** How often the best week comes of it, as far as that is known. */
  get worth(): number {
    return (this.better + 1) / (this.tries + 2)
  }
  private widthOf(dates: readonly number[]): number {
    const first = Math.max(width.first, width.steps / this.search.problem.steps.length)
    const failed = this.failed.filter((others) => others.every((date, piece) => date >= (dates[piece] ?? 0))).length
    return Math.min(width.most, Math.floor(first * 2 ** (failed / width.doubled)))
  }
  /** A week in which every piece ends by its date; null where none was found. */
  work(asked: Dates, isOver: () => boolean): WorkshopSchedule | null {
    const week = this.by.work(this.looks.next(this.widthOf(asked.dates)), asked, isOver)
    this.looks.came(this.by.came)
    return week
  }
  /** What came of it: whether a week was found by these dates, and is the best. */
  came({ dates, isFound, isBest }: { dates: readonly number[]; isFound: boolean; isBest: boolean }): void {
    this.tries += 1
    if (isBest) this.better += 1
    if (!isFound) this.failed.push(dates)
  }
}

export class Ways {
  private readonly all: readonly [Way, ...Way[]]

  constructor(private readonly search: Search) {
    // what is held to a minute is not turned round
    const back = search.pins.size === 0 ? [new Way(search, new Backwards(search))] : []
    this.all = [new Way(search, new Moments(search)), ...back]
  }

  next(): Way {
    const { all, search } = this
    let at = search.random() * all.reduce((sum, { worth }) => sum + worth, 0)
    return all.find(({ worth }) => (at -= worth) < 0) ?? all[0]
  }
}
