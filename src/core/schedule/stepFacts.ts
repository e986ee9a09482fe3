/** What a week that is worked from moment to moment goes by: its steps, who works when, and how much everybody works by a minute. Pure. */
import { Calendar, never } from './calendar'
import type { Fit } from './pins'
import type { Worker, WorkshopProblem } from './problem'
import { StepTable } from './stepTable'

type Work = readonly (readonly [number, number])[]

export class StepFacts extends StepTable {
  readonly count: number
  readonly slots: number
  /** by step: what it asks of hands that are free; nothing, where it is held to a minute that is kept for it */
  readonly load: Int32Array
  /** by worker: their hours without what is held to a minute in them */
  readonly work: readonly Work[]
  /** by worker and slot: minutes worked before it; and all together */
  readonly worked: readonly Int32Array[]
  readonly workedByAll: Int32Array
  private readonly calendars: readonly Calendar[]

  constructor(
    readonly problem: WorkshopProblem,
    calendars: readonly Calendar[],
    private readonly pins: ReadonlyMap<number, Fit>,
  ) {
    super(problem)
    const { steps, painters, grid, horizon } = problem
    this.count = steps.length
    this.slots = Math.floor(horizon / grid) + 2
    this.load = Int32Array.from(steps, ({ dur }, step) => (pins.has(step) ? 0 : dur))
    const held = [...pins.values()]
    this.work = painters.map((worker, by) =>
      hoursWithout(
        worker,
        held.filter((pin) => pin.by === by),
      ),
    )
    this.calendars =
      held.length === 0 ? calendars : painters.map(({ id }, by) => new Calendar({ id, work: this.work[by] ?? [] }, grid, horizon))
    this.worked = this.work.map((work) => workedBefore(work, grid, this.slots))
    this.workedByAll = new Int32Array(this.slots + 1)
    for (const own of this.worked)
      for (let slot = 0; slot <= this.slots; slot += 1) this.workedByAll[slot] = (this.workedByAll[slot] ?? 0) + (own[slot] ?? 0)
  }
  get hands(): number {
    return this.calendars.length
  }
  /** The minute that a step is held to; null where it is held to none. */
  pinOf(step: number): Fit | null {
    return this.pins.size === 0 ? null : (this.pins.get(step) ?? null)
  }
  /** When a step is begun by somebody at or after a minute; {@link never} where it can't be. */
  nextStart(step: number, by: number, minute: number): number {
    const pin = this.pinOf(step)
    if (pin) return pin.by === by && minute <= pin.start ? pin.start : never
    return (this.calendars[by] as Calendar).nextStartOf(this.dur[step] ?? 0, this.split[step] === 1, minute)
  }
  /** When it is over, begun by somebody at a minute at which they can. */
  endOf(step: number, by: number, start: number): number {
    const pin = this.pinOf(step)
    if (pin) return pin.end
    const dur = this.dur[step] ?? 0
    if (this.split[step] === 0) return start + dur
    const calendar = this.calendars[by] as Calendar
    calendar.nextStartOf(dur, true, start)
    return calendar.ends
  }
}

function hoursWithout({ work }: Worker, held: readonly Fit[]): Work {
  let left: Work = work
  for (const { start, end } of held)
    left = left.flatMap(([from, to]): Work => {
      const before: Work = from < start ? [[from, Math.min(to, start)]] : []
      return to > end ? [...before, [Math.max(from, end), to]] : before
    })
  return left
}
function workedBefore(work: Work, grid: number, slots: number): Int32Array {
  const worked = new Int32Array(slots + 1)
  for (const [from, to] of work) worked.fill(grid, Math.ceil(from / grid) + 1, Math.min(slots, Math.floor(to / grid)) + 1)
  for (let slot = 1; slot <= slots; slot += 1) worked[slot] = (worked[slot] ?? 0) + (worked[slot - 1] ?? 0)
  return worked
}
