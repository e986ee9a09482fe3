/** What a week that is worked from moment to moment goes by: its steps, and how much everybody works by a minute. Pure. */
import type { Calendar } from './calendar'
import type { WorkshopProblem } from './problem'
import { StepTable } from './stepTable'

export class StepFacts extends StepTable {
  readonly count: number
  readonly slots: number
  /** by worker and slot: minutes worked before it; and all together */
  readonly worked: readonly Int32Array[]
  readonly workedByAll: Int32Array

  constructor(
    readonly problem: WorkshopProblem,
    readonly calendars: readonly Calendar[],
  ) {
    super(problem)
    const { steps, painters, grid, horizon } = problem
    this.count = steps.length
    this.slots = Math.floor(horizon / grid) + 2
    this.worked = painters.map(({ work }) => workedBefore(work, grid, this.slots))
    this.workedByAll = new Int32Array(this.slots + 1)
    for (const own of this.worked)
      for (let slot = 0; slot <= this.slots; slot += 1) this.workedByAll[slot] = (this.workedByAll[slot] ?? 0) + (own[slot] ?? 0)
  }
  /** When a step is begun at or after a minute by somebody; its end is then their calendar's. */
  nextStart(step: number, by: number, minute: number): number {
    return (this.calendars[by] as Calendar).nextStartOf(this.dur[step] ?? 0, this.split[step] === 1, minute)
  }
  endOf(step: number, by: number, start: number): number {
    this.nextStart(step, by, start)
    return (this.calendars[by] as Calendar).ends
  }
}
function workedBefore(work: readonly (readonly [number, number])[], grid: number, slots: number): Int32Array {
  const worked = new Int32Array(slots + 1)
  for (const [from, to] of work) worked.fill(grid, Math.ceil(from / grid) + 1, Math.min(slots, Math.floor(to / grid)) + 1)
  for (let slot = 1; slot <= slots; slot += 1) worked[slot] = (worked[slot] ?? 0) + (worked[slot - 1] ?? 0)
  return worked
}
