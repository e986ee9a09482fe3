/** Every start that each step may have, through the hours of whoever may work it. Slots of the grid; pure. */
import { type Calendar, never } from './calendar'
import type { WorkshopProblem } from './problem'

/** In order of their starts; alike steps share one. */
export interface Starts {
  start: Int32Array
  end: Int32Array
  by: Uint8Array
  /** in order of their ends; null where that is the same */
  byEnd: Int32Array | null
}

/** By step; none that ends after `until`, in minutes. */
export function startsOf({ steps, painters, grid }: WorkshopProblem, calendars: readonly Calendar[], until: number): Starts[] {
  const made = new Map<string, Starts>()
  return steps.map((step) => {
    const key = `${step.painters.join()} ${step.dur} ${step.split}`
    const known = made.get(key)
    if (known) return known
    const own = step.painters.map((by): Begun => {
      const [start, end]: [number[], number[]] = [[], []]
      for (const [from, to] of painters[by]?.work ?? [])
        for (let at = Math.ceil(from / grid) * grid; at < to && at < until; at += grid) {
          const ends = calendars[by]?.endOf(step, at) ?? never
          if (ends === never || ends > until) continue
          start.push(at / grid)
          end.push(Math.ceil(ends / grid))
        }
      return { start, end, by: start.map(() => by) }
    })
    const { start, end, by } = own.reduce(merged)
    const inOrder = end.every((each, k) => k === 0 || each >= (end[k - 1] ?? 0))
    const starts: Starts = {
      start: Int32Array.from(start),
      end: Int32Array.from(end),
      by: Uint8Array.from(by),
      byEnd: inOrder ? null : Int32Array.from(end.keys()).sort((a, b) => (end[a] ?? 0) - (end[b] ?? 0)),
    }
    made.set(key, starts)
    return starts
  })
}
interface Begun {
  start: number[]
  end: number[]
  by: number[]
}
/** Both in the order of their starts; of those that begin together the one that ends sooner comes first. */
function merged(one: Begun, other: Begun): Begun {
  const all: Begun = { start: [], end: [], by: [] }
  for (let [a, b] = [0, 0]; a < one.start.length || b < other.start.length;) {
    const later = (one.start[a] ?? Infinity) - (other.start[b] ?? Infinity) || (one.end[a] ?? 0) - (other.end[b] ?? 0)
    const [from, k] = later <= 0 ? [one, a++] : [other, b++]
    all.start.push(from.start[k] ?? 0)
    all.end.push(from.end[k] ?? 0)
    all.by.push(from.by[k] ?? 0)
  }
  return all
}
/** The first of them that begins at or after a slot. */
export function firstFrom({ start }: Starts, slot: number): number {
  let [low, high] = [0, start.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if ((start[middle] ?? 0) >= slot) high = middle
    else low = middle + 1
  }
  return low
}
