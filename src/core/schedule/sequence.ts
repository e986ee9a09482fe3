/**
 * A week as a row of things laid one after the other: parts, or chains of steps. What two rows begin with alike is left lying when one is
 * laid after the other, and laying stops where it can't come out cheap enough any more. Pure.
 */
import type { Layout } from './lay'
import type { ReservedLayout } from './layReserved'
import type { Unit } from './units'

/** A unit laid whole, not before a minute; or, without one, its next chain. */
export interface Laid {
  unit: number
  notBefore?: number
}

export class ChainSequence {
  /** the row as far as it was gone through; how much lay, and what waited for a drying place, after each of it */
  private row: number[] = []
  private laid: number[] = []
  private marks: { laid: number; waiting: readonly number[] }[] = []

  constructor(private readonly layout: ReservedLayout) {}

  private takeLast(): void {
    const last = this.laid.pop()
    if (last !== undefined) this.layout.takeReserved(last)
  }

  /** What a row of chains costs, each unit standing in it as often as it has chains; infinite where it can't be laid, or costs more than `limit`. */
  costOf(wanted: readonly number[], limit = Infinity): number {
    let same = 0
    while (same < this.row.length && this.row[same] === wanted[same]) same += 1
    const mark = same === 0 ? null : this.marks[same - 1]
    while (this.laid.length > (mark?.laid ?? 0)) this.takeLast()
    this.row.length = same
    this.marks.length = same
    let waiting = [...(mark?.waiting ?? [])]
    for (let k = same; k < wanted.length; k += 1) {
      const unit = wanted[k] ?? 0
      const lies = waiting.includes(unit) ? null : this.layout.layReserved(unit)
      if (lies === false) return Infinity
      if (lies) this.laid.push(unit)
      else waiting.push(unit)
      // what waited is laid as soon as it may be
      while (lies && waiting.length > 0) {
        const at = this.firstFree(waiting)
        if (at === null) return Infinity
        if (at < 0) break
        waiting = waiting.toSpliced(at, 1)
      }
      if (this.layout.least() > limit) return Infinity
      this.row.push(unit)
      this.marks.push({ laid: this.laid.length, waiting })
      waiting = [...waiting]
    }
    return waiting.length > 0 ? Infinity : this.layout.cost
  }
  /** Lays the first of them that has a drying place now; -1 where none has, null where it has no place at all. */
  private firstFree(waiting: readonly number[]): number | null {
    const tried = new Set<number>()
    for (const [at, unit] of waiting.entries()) {
      if (tried.has(unit)) continue
      tried.add(unit)
      const lies = this.layout.layReserved(unit)
      if (lies === null) continue
      if (!lies) return null
      this.laid.push(unit)
      return at
    }
    return -1
  }
  clear(): void {
    while (this.laid.length > 0) this.takeLast()
    this.row = []
    this.marks = []
  }
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
