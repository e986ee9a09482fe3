/** A row that is laid again and again with little changed: what lay after some of its chains, brought back instead of laid anew. Pure. */
import type { Memory } from './memory'

/** What lies is kept after so many chains each. */
const each = 8

/** A row as far as it was gone through; how much lay, in which order, and what waited for a drying place, after each of it. */
export interface Gone {
  readonly row: number[]
  readonly laid: number[]
  readonly laidAfter: number[]
  readonly waitingAfter: (readonly number[])[]
}
export const nothingGone = (): Gone => ({ row: [], laid: [], laidAfter: [], waitingAfter: [] })

export class KeptRow {
  private readonly gone = nothingGone()
  /** by place, so many chains apart: what lay before it in the row that is kept, and in the one that is laid now */
  private readonly states: (Float64Array | undefined)[] = []
  private readonly fresh: (Float64Array | undefined)[] = []
  /** from where on the row that is laid now was laid anew */
  private since = 0

  constructor(private readonly memory: Pick<Memory, 'kept' | 'bringBack'>) {}

  /** How much of a row may be brought back at most. */
  reach(wanted: readonly number[]): number {
    let nth = Math.floor(alike(this.gone.row, wanted) / each)
    while (nth > 0 && !this.states[nth]) nth -= 1
    return nth * each
  }
  /** Brings back so much as {@link reach} says, and how it was gone through. */
  bringBack(place: number, now: Gone): void {
    const { gone, memory, states } = this
    const state = states[place / each]
    if (!state) return
    memory.bringBack(state)
    copy(gone, now, place)
    cutTo(now, place)
  }
  /** The row that is laid now lies so far as it did before. */
  begin(place: number): void {
    this.since = place
    if (place === 0) this.states[0] ??= this.memory.kept()
  }
  /** So much of it lies. */
  note(place: number): void {
    const nth = place / each
    if (place % each === 0) this.fresh[nth] = this.memory.kept(this.fresh[nth])
  }
  /** Keeps the row that is laid now; and what comes after so much of the one that was kept, where it `goesOn` as that did. */
  keep(now: Gone, goesOn: boolean): void {
    const { gone, states, fresh, since } = this
    const place = now.row.length
    for (let nth = Math.floor(alike(gone.row, now.row) / each) + 1; nth * each <= place; nth += 1) {
      const state = nth * each > since ? fresh[nth] : undefined
      if (state) fresh[nth] = states[nth]
      states[nth] = state
    }
    const wasLaid = gone.laidAfter[place - 1] ?? 0
    copy(now, gone, place)
    // what waited there lies now: nothing after it lay as it does now
    if (!goesOn || wasLaid !== now.laid.length) cutTo(gone, place)
  }
  clear(): void {
    cutTo(this.gone, 0)
  }
}

/** How many two rows begin with alike. */
export function alike(one: readonly number[], other: readonly number[]): number {
  let same = 0
  while (same < one.length && one[same] === other[same]) same += 1
  return same
}
function copy(from: Gone, to: Gone, place: number): void {
  for (let k = 0; k < place; k += 1) {
    to.row[k] = from.row[k] ?? 0
    to.laidAfter[k] = from.laidAfter[k] ?? 0
    to.waitingAfter[k] = from.waitingAfter[k] ?? []
  }
  const lying = from.laidAfter[place - 1] ?? 0
  for (let k = 0; k < lying; k += 1) to.laid[k] = from.laid[k] ?? 0
}
/** Forgets what comes after so much of a row. */
export function cutTo({ row, laid, laidAfter, waitingAfter }: Gone, place: number): void {
  row.length = place
  laidAfter.length = place
  waitingAfter.length = place
  laid.length = laidAfter[place - 1] ?? 0
}
