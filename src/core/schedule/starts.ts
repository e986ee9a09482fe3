/** Every start that each step may have, through the hours of whoever may work it. Slots of the grid; pure. */
import { type Calendar, never } from './calendar'
import type { WorkshopProblem } from './problem'

/** In order of their starts, then of their ends; alike steps share one. */
export interface Starts {
  start: Int32Array
  end: Int32Array
  /** in order of their ends; null where that is the same */
  byEnd: Int32Array | null
}
/** Whose hands may work it from a start to its end: those from `first` of it to before `first` of the next. */
export interface HandsOf {
  first: Int32Array
  by: Uint8Array
}
export interface StartsByHands extends Starts, HandsOf {}

const mostHands = 256

/** By step; none that ends after `until`, in minutes. */
export function startsOf(
  { steps, painters, grid }: WorkshopProblem,
  calendars: readonly Calendar[],
  until: number,
): StartsByHands[] {
  const made = new Map<string, StartsByHands>()
  const far = Math.ceil(until / grid) + 2
  return steps.map((step) => {
    const key = `${step.painters.join()} ${step.dur} ${step.split}`
    const known = made.get(key)
    if (known) return known
    // each as one number, so that they are sorted as numbers
    const begun: number[] = []
    for (const by of step.painters)
      for (const [from, to] of painters[by]?.work ?? [])
        for (let at = Math.ceil(from / grid) * grid; at < to && at < until; at += grid) {
          const ends = calendars[by]?.endOf(step, at) ?? never
          if (ends !== never && ends <= until) begun.push(((at / grid) * far + Math.ceil(ends / grid)) * mostHands + by)
        }
    const starts = startsFrom(Float64Array.from(begun).sort(), far)
    made.set(key, starts)
    return starts
  })
}
/** Those that are alike but for the hands are one. */
function startsFrom(begun: Float64Array, far: number): StartsByHands {
  const by = Uint8Array.from(begun, (each) => each % mostHands)
  const [start, end, first] = [new Int32Array(by.length), new Int32Array(by.length), new Int32Array(by.length + 1)]
  let [many, before, isInOrder] = [0, -1, true]
  begun.forEach((each, k) => {
    const span = Math.floor(each / mostHands)
    if (span === before) return
    before = span
    start[many] = Math.floor(span / far)
    end[many] = span % far
    isInOrder &&= many === 0 || (end[many] ?? 0) >= (end[many - 1] ?? 0)
    first[many] = k
    many += 1
  })
  first[many] = by.length
  const ends = end.slice(0, many)
  return {
    start: start.slice(0, many),
    end: ends,
    first: first.slice(0, many + 1),
    by,
    byEnd: isInOrder ? null : Int32Array.from(ends.keys()).sort((a, b) => (ends[a] ?? 0) - (ends[b] ?? 0)),
  }
}
/** The first of them that is over no sooner than a slot. */
export function firstOver({ end }: Starts, slot: number): number {
  const nth = end.findIndex((each) => each >= slot)
  return nth < 0 ? end.length : nth
}
/** The last of them that is over by a slot; -1 where none is. */
export function lastUntil({ end }: Starts, slot: number): number {
  let nth = end.length - 1
  while (nth >= 0 && (end[nth] ?? 0) > slot) nth -= 1
  return nth
}
/** Those from one on to before another. */
export function within({ start, end, byEnd }: Starts, low: number, high: number): Starts {
  const own = { start: start.subarray(low, high), end: end.subarray(low, high) }
  if (!byEnd) return { ...own, byEnd }
  const order = new Int32Array(own.start.length)
  let many = 0
  for (const nth of byEnd) if (nth >= low && nth < high) order[many++] = nth - low
  return { ...own, byEnd: order }
}
