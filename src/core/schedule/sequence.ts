/**
 * A week as a row of things laid one after the other: parts, or chains of steps. What two rows begin with alike is left lying when one is
 * laid after the other, and laying stops where it can't come out cheap enough any more. Pure.
 */
import type { Layout } from './lay'
import type { Unit } from './units'

/** A unit laid whole, not before a minute; or, without one, its next chain. */
export interface Laid {
  unit: number
  notBefore?: number
}

export class Sequence {
  private laid: Laid[] = []

  constructor(private readonly layout: Layout) {}

  private takeLast(): void {
    const last = this.laid.pop()
    if (last?.notBefore === undefined) {
      if (last) this.layout.takeChainOf(last.unit)
    } else this.layout.take(last.unit)
  }

  /** What a row costs; infinite where it can't be laid, or costs more than `limit`. */
  costOf(wanted: readonly Laid[], limit = Infinity): number {
    let same = 0
    while (same < this.laid.length && alike(this.laid[same], wanted[same])) same += 1
    while (this.laid.length > same) this.takeLast()
    for (const each of wanted.slice(same)) {
      const lies = each.notBefore === undefined ? this.layout.layChainOf(each.unit) : this.layout.lay(each.unit, each.notBefore)
      if (!lies) return Infinity
      this.laid.push(each)
      if (this.layout.least() > limit) return Infinity
    }
    return this.layout.cost
  }
  /** The unit at which the last row failed, where it did. */
  nextOf(wanted: readonly Laid[]): number {
    return wanted[this.laid.length]?.unit ?? 0
  }
  /** Takes all of it up. */
  clear(): void {
    while (this.laid.length > 0) this.takeLast()
  }
}

const alike = (one: Laid | undefined, other: Laid | undefined): boolean =>
  one !== undefined && other !== undefined && one.unit === other.unit && one.notBefore === other.notBefore

/** Every unit of an order of those that wait for none, the rest as soon as they may. */
export class Orders {
  /** units that wait for no other */
  readonly free: readonly number[]
  private readonly waiting: readonly number[][]

  constructor(private readonly units: readonly Unit[]) {
    this.free = units.flatMap(({ after }, k) => (after.length === 0 ? [k] : []))
    this.waiting = units.map((_, k) => units.flatMap(({ after }, other) => (after.includes(k) ? [other] : [])))
  }

  whole(order: readonly number[], delays: Readonly<Record<number, number>> = {}): Laid[] {
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
}
