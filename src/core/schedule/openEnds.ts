/** When each piece can end at the soonest, as far as it is laid, and what all of it can't cost less than then. Minutes; pure. */
import { costOfEnd, type Earliest } from './bound'
import type { EndBound } from './endBound'
import type { Memory } from './memory'
import type { WorkshopProblem } from './problem'
import type { Unit } from './units'

export class OpenEnds {
  /** by unit and by piece: no sooner does the piece end */
  private readonly unitEnd: Int32Array
  private readonly pieceEnd: Int32Array
  private readonly firstEnd: Int32Array
  private readonly pieceOf: Int32Array
  /** units of piece k stand from place `unitAt[k]` to `unitAt[k + 1]` */
  private readonly unit: Int32Array
  private readonly unitAt: Int32Array
  private readonly due: Float64Array
  /** what a minute late costs */
  private readonly tardy: Float64Array
  /** what the pieces can't cost less than, each and all */
  private readonly costs: Float64Array
  private readonly sum: Float64Array
  private readonly endBound: EndBound

  constructor(
    private readonly problem: WorkshopProblem,
    units: readonly Unit[],
    { earliest, endBound }: { earliest: Earliest; endBound: EndBound },
    memory: Memory,
  ) {
    const { pieces, cost } = problem
    this.endBound = endBound
    this.unitEnd = memory.list(units.length)
    this.firstEnd = Int32Array.from(pieces, ({ final }) => earliest.end[final] ?? 0)
    this.pieceEnd = memory.list(pieces.length)
    this.pieceEnd.set(this.firstEnd)
    this.pieceOf = Int32Array.from(units, ({ piece }) => piece)
    const own = pieces.map((_, piece) => units.flatMap((unit, k) => (unit.piece === piece ? [k] : [])))
    this.unit = Int32Array.from(own.flat())
    this.unitAt = new Int32Array(pieces.length + 1)
    own.forEach((list, k) => (this.unitAt[k + 1] = (this.unitAt[k] ?? 0) + list.length))
    this.due = Float64Array.from(pieces, ({ due }) => due)
    this.tardy = Float64Array.from(pieces, ({ weight }) => cost.tardy * weight)
    this.costs = memory.sums(pieces.length)
    pieces.forEach((_, piece) => (this.costs[piece] = costOfEnd(problem, piece, this.firstEnd[piece] ?? 0)))
    this.sum = memory.sums(1)
    this.sum[0] = this.costs.reduce((sum, each) => sum + each, 0)
  }
  get cost(): number {
    return this.sum[0] ?? 0
  }

  /** A unit is laid as far as a step that ends at a minute; nothing of it, where there is none. */
  laidTo(unit: number, step: number | undefined, end: number): void {
    this.unitEnd[unit] = step === undefined ? 0 : this.endBound.after(step, end)
    const piece = this.pieceOf[unit] ?? 0
    let latest = this.firstEnd[piece] ?? 0
    const until = this.unitAt[piece + 1] ?? 0
    for (let k = this.unitAt[piece] ?? 0; k < until; k += 1) {
      const at = this.unitEnd[this.unit[k] ?? 0] ?? 0
      if (at > latest) latest = at
    }
    if (latest === this.pieceEnd[piece]) return
    this.pieceEnd[piece] = latest
    const late = latest - (this.due[piece] ?? 0)
    const cost = this.problem.cost.flow * latest + (late > 0 ? (this.tardy[piece] ?? 0) * late : 0)
    this.sum[0] = this.cost + cost - (this.costs[piece] ?? 0)
    this.costs[piece] = cost
  }
}
