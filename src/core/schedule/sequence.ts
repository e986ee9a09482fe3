/**
 * A week as an order of its units, laid one after the other. What two orders begin with alike is left lying when one is laid after the
 * other, and laying stops where it can't come out cheap enough any more. Pure.
 */
import { costOfEnd, type Earliest } from './bound'
import { Layout } from './lay'
import type { WorkshopProblem } from './problem'
import { type Unit, unitsOf } from './units'

/** Units that wait for no other, in the order they are laid; the rest follow as soon as they may. */
export type Order = readonly number[]
interface Laid {
  unit: number
  notBefore: number
}

export class Sequence {
  readonly units: readonly Unit[]
  readonly layout: Layout
  /** units that wait for no other */
  readonly free: readonly number[]
  private readonly waiting: readonly number[][]
  private readonly least: readonly number[]
  private readonly finals: readonly (number | null)[]
  private laid: Laid[] = []
  /** least cost of the pieces not yet laid whole */
  private open: number
  /** the unit that had no place when an order failed */
  failed = 0

  constructor(
    readonly problem: WorkshopProblem,
    earliest: Earliest,
  ) {
    this.units = unitsOf(problem)
    this.layout = new Layout(problem, this.units, earliest)
    this.free = this.units.flatMap(({ after }, k) => (after.length === 0 ? [k] : []))
    this.waiting = this.units.map((_, k) => this.units.flatMap(({ after }, other) => (after.includes(k) ? [other] : [])))
    this.least = problem.pieces.map(({ final }, piece) => costOfEnd(problem, piece, earliest.end[final] ?? 0))
    this.finals = this.units.map(({ piece, steps }) => (steps.includes(problem.pieces[piece]?.final ?? -1) ? piece : null))
    this.open = this.least.reduce((sum, each) => sum + each, 0)
  }

  /** Every unit in the order it is laid. */
  private whole(order: Order, delays: Readonly<Record<number, number>>): Laid[] {
    const left = this.units.map(({ after }) => after.length)
    const all: Laid[] = []
    const push = (unit: number) => {
      all.push({ unit, notBefore: delays[unit] ?? 0 })
      for (const other of this.waiting[unit] ?? []) {
        left[other] = (left[other] ?? 0) - 1
        if (left[other] === 0) push(other)
      }
    }
    for (const unit of order) push(unit)
    return all
  }

  private take(): void {
    const last = this.laid.pop()
    if (!last) return
    this.layout.take(last.unit)
    const piece = this.finals[last.unit]
    if (piece !== null && piece !== undefined) this.open += this.least[piece] ?? 0
  }

  /** What an order costs; infinite where it can't be laid, or costs more than `limit`. */
  costOf(order: Order, delays: Readonly<Record<number, number>> = {}, limit = Infinity): number {
    const wanted = this.whole(order, delays)
    let same = 0
    while (same < this.laid.length && alike(this.laid[same], wanted[same])) same += 1
    while (this.laid.length > same) this.take()
    for (const each of wanted.slice(same)) {
      if (!this.layout.lay(each.unit, each.notBefore)) {
        this.failed = each.unit
        return Infinity
      }
      this.laid.push(each)
      const piece = this.finals[each.unit]
      if (piece !== null && piece !== undefined) this.open -= this.least[piece] ?? 0
      if (this.layout.cost + this.open > limit) return Infinity
    }
    return this.layout.cost
  }
  /** Forgets the order: whoever moves units about by themselves lays them anew. */
  forget(): void {
    while (this.laid.length > 0) this.take()
  }
}

const alike = (one: Laid | undefined, other: Laid | undefined): boolean =>
  one !== undefined && other !== undefined && one.unit === other.unit && one.notBefore === other.notBefore
