/** How many drying places are taken when, by times that are given; and what must wait where they are too few. Pure. */
import { never } from './calendar'
import type { WorkshopProblem } from './problem'
import type { WaitTable } from './waitTable'

/** Places that are counted together, and the waits that hold them. */
interface Few {
  places: number
  racks: Int32Array
}
export class DryingPlaces {
  private readonly taken: Int16Array
  /** where places may be too few: the house, and rooms */
  private readonly few: readonly Few[]

  constructor(
    private readonly problem: Pick<WorkshopProblem, 'grid' | 'pools' | 'horizon' | 'lags'>,
    private readonly waits: WaitTable,
  ) {
    const { pools, lags } = problem
    const { racks } = waits
    const rooms = (pools.rooms ?? []).map((places, room) => ({ places, racks: racks.filter((lag) => lags[lag]?.room === room) }))
    this.few = [{ places: pools.rack, racks }, ...rooms].filter((each) => each.racks.length > each.places)
    this.taken = new Int16Array(Math.ceil(problem.horizon / problem.grid) + 2)
  }

  /**
   * Where too much dries at once: the step that came last to it, and by how many minutes it must end later; {@link never} for the step where
   * nothing can wait. Null where all have a place.
   */
  over(start: Int32Array, end: Int32Array): { step: number; by: number } | null {
    for (const few of this.few) {
      const over = this.overIn(few, start, end)
      if (over) return over
    }
    return null
  }
  private overIn({ places, racks }: Few, start: Int32Array, end: Int32Array): { step: number; by: number } | null {
    const { from, to } = this.waits
    const since = (lag: number) => (from[lag] === never ? 0 : (end[from[lag] ?? 0] ?? 0))
    const until = (lag: number) => start[to[lag] ?? 0] ?? 0
    const full = this.firstFull({ places, racks }, since, until)
    if (full === never) return null
    let [step, begun, free] = [never, -1, Infinity]
    for (const lag of racks) {
      if (since(lag) > full || until(lag) <= full) continue
      free = Math.min(free, until(lag))
      if (from[lag] === never || since(lag) <= begun) continue
      ;[step, begun] = [from[lag] ?? never, since(lag)]
    }
    return step === never || free <= begun ? { step: never, by: 0 } : { step, by: free - begun }
  }

  /** The first minute at which more dries than has a place. */
  private firstFull({ places, racks }: Few, since: (lag: number) => number, until: (lag: number) => number): number {
    const { grid } = this.problem
    const { taken } = this
    taken.fill(0)
    for (const lag of racks) {
      const [first, after] = [Math.ceil(since(lag) / grid), Math.ceil(until(lag) / grid)]
      if (first >= after) continue
      taken[first] = (taken[first] ?? 0) + 1
      taken[after] = (taken[after] ?? 0) - 1
    }
    let held = 0
    for (let slot = 0; slot < taken.length; slot += 1) {
      held += taken[slot] ?? 0
      if (held > places) return slot * grid
    }
    return never
  }
}
