/** When a chain must be begun at the latest for its piece to end by a date, through its workers' hours, nobody else being busy. Pure. */
import { never } from './calendar'
import type { EndBound } from './endBound'
import type { WorkshopProblem } from './problem'
import type { Unit } from './units'

/** Starts are looked at so far apart, in minutes. */
const apart = 60

export class LatestStarts {
  /** by chain: its first step */
  private readonly first: Int32Array
  /** by chain and by start: when the piece ends; filled in as it is asked */
  private readonly ends: Int32Array[]
  private readonly last: number

  constructor(
    { horizon }: Pick<WorkshopProblem, 'horizon'>,
    units: readonly Unit[],
    private readonly bound: EndBound,
  ) {
    this.first = Int32Array.from(units.flatMap(({ chains }) => chains.map(({ steps }) => steps[0] ?? 0)))
    this.last = Math.max(0, Math.floor(horizon / apart) - 1)
    this.ends = Array.from(this.first, () => new Int32Array(this.last + 1).fill(never))
  }

  private endOf(chain: number, nth: number): number {
    const own = this.ends[chain]
    let end = own?.[nth] ?? never
    if (end !== never || !own) return end
    end = this.bound.through(this.first[chain] ?? 0, nth * apart)
    own[nth] = end
    return end
  }
  /** Minutes; below 0 by as much as the date can't be kept. */
  of(chain: number, date: number): number {
    const soonest = this.endOf(chain, 0)
    if (soonest > date) return date - soonest
    let [low, high] = [0, this.last]
    while (low < high) {
      const middle = (low + high + 1) >> 1
      if (this.endOf(chain, middle) <= date) low = middle
      else high = middle - 1
    }
    return low * apart
  }
}
