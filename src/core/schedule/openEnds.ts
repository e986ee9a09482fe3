/** When each piece can end at the soonest, as far as it is laid, and what all of it can't cost less than then. Minutes; pure. */
import { costOfEnd, type Earliest } from './bound'
import { EndBound } from './endBound'
import type { WorkshopProblem } from './problem'
import type { Unit } from './units'

export class OpenEnds {
  private readonly endBound: EndBound
  /** by unit and by piece: no sooner does the piece end */
  private readonly unitEnd: Int32Array
  private readonly pieceEnd: Int32Array
  private readonly firstEnd: Int32Array
  private readonly unitsOf: readonly (readonly number[])[]
  /** what the pieces can't cost less than, each and all */
  private readonly costs: Float64Array
  cost: number

  constructor(
    private readonly problem: WorkshopProblem,
    private readonly units: readonly Unit[],
    { calendars, end }: Earliest,
  ) {
    const { pieces } = problem
    this.endBound = new EndBound(problem, calendars)
    this.unitEnd = new Int32Array(units.length)
    this.firstEnd = Int32Array.from(pieces, ({ final }) => end[final] ?? 0)
    this.pieceEnd = Int32Array.from(this.firstEnd)
    this.unitsOf = pieces.map((_, piece) => units.flatMap((unit, k) => (unit.piece === piece ? [k] : [])))
    this.costs = Float64Array.from(pieces, (_, piece) => costOfEnd(problem, piece, this.firstEnd[piece] ?? 0))
    this.cost = this.costs.reduce((sum, each) => sum + each, 0)
  }

  /** A unit is laid as far as a step that ends at a minute; nothing of it, where there is none. */
  laidTo(unit: number, step: number | undefined, end: number): void {
    this.unitEnd[unit] = step === undefined ? 0 : this.endBound.after(step, end)
    const piece = this.units[unit]?.piece ?? 0
    let latest = this.firstEnd[piece] ?? 0
    for (const each of this.unitsOf[piece] ?? []) latest = Math.max(latest, this.unitEnd[each] ?? 0)
    if (latest === this.pieceEnd[piece]) return
    this.pieceEnd[piece] = latest
    const cost = costOfEnd(this.problem, piece, latest)
    this.cost += cost - (this.costs[piece] ?? 0)
    this.costs[piece] = cost
  }
}
