/**
 * What is done where a week that is worked from moment to moment comes no further: one piece is given up for a day, and it is worked on from
 * some steps before. So dates that can't all be kept lead to a week, too, and not only to its end. Pure.
 */
import type { StepFacts } from './stepFacts'
import { type Towards, towards } from './towards'
import { Weeks } from './weeks'

/** Weeks are kept every so many steps; it is gone back to those before the last that were kept, further where it comes no further by that. */
const [each, back] = [8, 1]
const mostGivenUp = 40

/** Dates that ask for less than others: the likeliest first, none where nothing is to be given up any more. */
export type Less = (dates: readonly number[]) => readonly (readonly number[])[]

interface From {
  dates: readonly number[]
  until: Towards
}
export class GivingWay {
  private kept: Weeks[] = []
  private less: Less | null = null
  private dates: readonly number[] = []
  private tries = 0
  private furthest = 0
  private further = 0

  constructor(
    private readonly facts: StepFacts,
    private readonly order: readonly number[],
  ) {}

  /** Another week, by other dates; nothing gives way where `less` is null. `isWider`: more weeks beside each other than before. */
  begin(dates: readonly number[], less: Less | null, isWider: boolean): void {
    if (isWider) this.kept = []
    this.less = less
    this.dates = dates
    this.tries = 0
    this.furthest = 0
    this.further = 0
  }
  /** Weeks, of `width` at most, once so many steps are worked. */
  keep(steps: number, weeks: Weeks, width: number): void {
    if (this.less && steps % each === 0) (this.kept[steps / each] ??= new Weeks(this.facts, width)).copy(weeks)
  }
  /**
   * Where weeks came no further than so many steps: by what it is gone on, and from which step, with `weeks` as they were then; null where it isn't.
   * `goesOn`: whether one of them could go on by some dates.
   */
  giveWay(steps: number, weeks: Weeks, goesOn: (until: Towards) => boolean): { until: Towards; steps: number } | null {
    if (!this.less || this.tries >= mostGivenUp) return null
    this.tries += 1
    const next = this.next(this.less(this.dates), goesOn)
    if (!next) return null
    this.dates = next.dates
    this.further = steps > this.furthest ? 0 : this.further + 1
    this.furthest = Math.max(this.furthest, steps)
    const nth = Math.max(0, Math.floor(steps / each) - back - this.further)
    const kept = this.kept[nth]
    if (!kept) return null
    weeks.copy(kept)
    return { until: next.until, steps: nth * each }
  }
  /** The first dates by which a week could go on; the first of all where none could. */
  private next(all: readonly (readonly number[])[], goesOn: (until: Towards) => boolean): From | null {
    let first: From | null = null
    for (const dates of all) {
      const until = towards(dates, this.facts, this.order)
      if (!until) continue
      if (goesOn(until)) return { dates, until }
      first ??= { dates, until }
    }
    return first
  }
}
