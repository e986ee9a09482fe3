/**
 * A week as a row of chains laid one after the other. What two rows begin with alike is left lying when one is
 * laid after the other, and laying stops where it can't come out cheap enough any more. Pure.
 */
import { alike, cutTo, KeptRow, nothingGone } from './keptRow'
import { hopeless, laid as lies, type RowLayout, waits } from './rowLayout'

/** A row whose week is known: when each step begins in it, and by whom. */
export interface KnownRow {
  row: readonly number[]
  start: Int32Array
  by: Int32Array
  cost: number
}
const none: readonly number[] = []
/** A chain is laid in the time in which so many are taken up. */
const layingCosts = 3

export class ChainSequence {
  private readonly gone = nothingGone()
  /** what is laid anew most often is brought back instead, where whoever asks says which row is changed next */
  private readonly kept: KeptRow | null
  /** the step for which the last row that couldn't be laid had no place */
  failed = 0
  /** whether the last row came to the week that was known */
  isKnown = false

  constructor(
    private readonly layout: RowLayout,
    { keeps = false } = {},
  ) {
    this.kept = keeps ? new KeptRow(layout.memory) : null
  }

  private takeLast(): void {
    const last = this.gone.laid.pop()
    if (last !== undefined) this.layout.take(last)
  }

  /**
   * What a row of chains costs, each unit standing in it as often as it has chains; infinite where it can't be laid, or costs more than
   * `limit`. Of a row that comes to the same week as a known one, the rest is not laid anew.
   */
  costOf(wanted: readonly number[], limit = Infinity, known?: KnownRow): number {
    const { layout, kept } = this
    const { row, laid, laidAfter, waitingAfter } = this.gone
    const same = this.goBack(wanted)
    const began = laid.length
    let waiting = waitingAfter[same - 1] ?? none
    const like = known ? new Alike(known, wanted) : null
    this.isKnown = like?.isSame ?? false
    if (like && this.isKnown) return like.cost
    let compared = like ? (laidAfter[like.first - 1] ?? 0) : 0
    if (like && like.first > same) compared = began
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
      kept?.note(row.length)
      if (!like?.mayBe) continue
      for (; compared < laid.length; compared += 1)
        if (!layout.liesAsIn(laid[compared] ?? 0, like.known.start, like.known.by)) like.mayBe = false
      if (!like.mayBe || k < like.last || waiting.length > 0) continue
      this.isKnown = true
      return like.cost
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
      this.gone.laid.push(unit)
      return at
    }
    return -1
  }
  /** Takes up what was laid from the first of such chains on, by their unit and their number in it. */
  forget(is: (unit: number, nth: number) => boolean): void {
    const nth = new Map<number, number>()
    const first = this.gone.row.findIndex((unit) => {
      const its = nth.get(unit) ?? 0
      nth.set(unit, its + 1)
      return is(unit, its)
    })
    if (first >= 0) this.cut(first)
    // what was kept lay as it does no more
    this.kept?.clear()
  }
  /** The row that was laid last is the one that is changed next. */
  keep(): void {
    this.kept?.keep(this.gone, this.isKnown)
  }
  clear(): void {
    this.cut(0)
    this.kept?.clear()
  }
  /** Back to where a row begins to differ from what lies, or from the row that is kept; answers with how much of it lies. */
  private goBack(wanted: readonly number[]): number {
    const { gone, kept } = this
    const same = alike(gone.row, wanted)
    if (!kept) {
      this.cut(same)
      return same
    }
    const reach = kept.reach(wanted)
    const above = gone.laid.length - (gone.laidAfter[same - 1] ?? 0)
    const isNear = above <= (same - reach) * layingCosts
    if (isNear) this.cut(same)
    else kept.bringBack(reach, gone)
    const place = isNear ? same : reach
    kept.begin(place)
    return place
  }
  private cut(to: number): void {
    const { laid, laidAfter } = this.gone
    const began = laidAfter[to - 1] ?? 0
    while (laid.length > began) this.takeLast()
    cutTo(this.gone, to)
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
