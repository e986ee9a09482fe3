/**
 * A week as a row of chains laid one after the other. What two rows begin with alike is left lying when one is
 * laid after the other, and laying stops where it can't come out cheap enough any more. Pure.
 */
import { hopeless, laid as lies, type RowLayout, waits } from './rowLayout'

/** A row whose week is known: when each step begins in it, and by whom. */
export interface KnownRow {
  row: readonly number[]
  start: Int32Array
  by: Int32Array
  cost: number
}
const none: readonly number[] = []

export class ChainSequence {
  /** the row as far as it was gone through; how much lay, and what waited for a drying place, after each of it */
  private readonly row: number[] = []
  private readonly laid: number[] = []
  private readonly laidAfter: number[] = []
  private readonly waitingAfter: (readonly number[])[] = []
  /** the step for which the last row that couldn't be laid had no place */
  failed = 0
  /** whether the last row came to the week that was known */
  isKnown = false

  constructor(private readonly layout: RowLayout) {}

  private takeLast(): void {
    const last = this.laid.pop()
    if (last !== undefined) this.layout.take(last)
  }

  /**
   * What a row of chains costs, each unit standing in it as often as it has chains; infinite where it can't be laid, or costs more than
   * `limit`. Of a row that comes to the same week as a known one, the rest is not laid anew.
   */
  costOf(wanted: readonly number[], limit = Infinity, known?: KnownRow): number {
    const { row, laid, laidAfter, waitingAfter, layout } = this
    let same = 0
    while (same < row.length && row[same] === wanted[same]) same += 1
    this.cut(same)
    const began = laid.length
    let waiting = waitingAfter[same - 1] ?? none
    const alike = known ? new Alike(known, wanted) : null
    this.isKnown = alike?.isSame ?? false
    if (alike && this.isKnown) return alike.cost
    let compared = alike ? (laidAfter[alike.first - 1] ?? 0) : 0
    if (alike && alike.first > same) compared = began
    for (let k = same; k < wanted.length; k += 1) {
      const unit = wanted[k] ?? 0
      const came = waiting.length > 0 && waiting.includes(unit) ? waits : layout.lay(unit)
      if (came === hopeless) {
        this.failed = layout.nextOf(unit)
        return Infinity
      }
      if (came === lies) laid.push(unit)
      else waiting = [...waiting, unit]
      // what waited is laid as soon as it may be
      while (came === lies && waiting.length > 0) {
        const at = this.firstFree(waiting)
        if (at === null) return Infinity
        if (at < 0) break
        waiting = waiting.toSpliced(at, 1)
      }
      if (layout.worth > limit) return Infinity
      row.push(unit)
      laidAfter.push(laid.length)
      waitingAfter.push(waiting)
      if (!alike?.mayBe) continue
      for (; compared < laid.length; compared += 1)
        if (!layout.liesAsIn(laid[compared] ?? 0, alike.known.start, alike.known.by)) alike.mayBe = false
      if (!alike.mayBe || k < alike.last || waiting.length > 0) continue
      this.isKnown = true
      return alike.cost
    }
    if (waiting[0] !== undefined) this.failed = layout.nextOf(waiting[0])
    return waiting.length > 0 ? Infinity : layout.worth
  }
  /** Lays the first of them that has a drying place now; -1 where none has, null where it has no place at all. */
  private firstFree(waiting: readonly number[]): number | null {
    for (let at = 0; at < waiting.length; at += 1) {
      const unit = waiting[at] ?? 0
      if (waiting.indexOf(unit) < at) continue
      const came = this.layout.lay(unit)
      if (came === waits) continue
      if (came === hopeless) {
        this.failed = this.layout.nextOf(unit)
        return null
      }
      this.laid.push(unit)
      return at
    }
    return -1
  }
  /** Takes up what was laid from the first of such chains on, by their unit and their number in it. */
  forget(is: (unit: number, nth: number) => boolean): void {
    const nth = new Map<number, number>()
    const first = this.row.findIndex((unit) => {
      const its = nth.get(unit) ?? 0
      nth.set(unit, its + 1)
      return is(unit, its)
    })
    if (first >= 0) this.cut(first)
  }
  clear(): void {
    this.cut(0)
  }
  private cut(to: number): void {
    const began = this.laidAfter[to - 1] ?? 0
    while (this.laid.length > began) this.takeLast()
    for (const each of [this.row, this.laidAfter, this.waitingAfter]) each.length = to
  }
}

/** Whether a row still comes to the week that is known of another. */
class Alike {
  readonly first: number
  readonly last: number
  mayBe = true

  constructor(
    readonly known: KnownRow,
    wanted: readonly number[],
  ) {
    const { row } = known
    let [first, last] = [0, row.length - 1]
    while (first <= last && row[first] === wanted[first]) first += 1
    while (last >= first && row[last] === wanted[last]) last -= 1
    ;[this.first, this.last] = [first, last]
  }
  get isSame(): boolean {
    return this.first > this.last
  }
  get cost(): number {
    return this.known.cost
  }
}
