/** The minutes at which everybody has gone home, by which pieces are to end. Pure. */
import type { WorkshopProblem } from './problem'

const dayMinutes = 1440
/** An evening so near is the same day's. */
const sameDay = 240

export class Evenings {
  private readonly all: readonly number[]
  private readonly horizon: number

  constructor({ painters, horizon }: Pick<WorkshopProblem, 'painters' | 'horizon'>) {
    const last = new Map<number, number>()
    for (const { work } of painters)
      for (const [, to] of work) {
        const day = Math.floor((to - 1) / dayMinutes)
        if (to <= horizon) last.set(day, Math.max(last.get(day) ?? 0, to))
      }
    this.horizon = horizon
    this.all = [...last.values()].sort((one, other) => one - other)
  }

  /** Those of the days before that of a minute. */
  before(minute: number): number[] {
    return this.all.filter((evening) => evening < minute - sameDay)
  }
  /** That of the next day after a minute on which somebody works; the last minute there is where nobody does. */
  after(minute: number): number {
    return this.all.find((evening) => evening > minute + sameDay) ?? this.horizon
  }
  /** That of the day on which a piece ends; when it is promised, where that is before and it is in time. */
  of(end: number, due: number): number {
    const evening = this.all.find((each) => each >= end) ?? this.horizon
    return end <= due ? Math.min(evening, due) : evening
  }
}
