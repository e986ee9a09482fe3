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

/** By step. */
export function startsOf({ steps, painters, grid }: WorkshopProblem, calendars: readonly Calendar[]): Starts[] {
  const made = new Map<string, Starts>()
  return steps.map((step) => {
    const key = `${step.painters.join()} ${step.dur} ${step.split}`
    const known = made.get(key)
    if (known) return known
    const all: { start: number; end: number; by: number }[] = []
    for (const by of step.painters) {
      const calendar = calendars[by]
      if (!calendar) continue
      for (const [from, to] of painters[by]?.work ?? [])
        for (let at = Math.ceil(from / grid) * grid; at < to; at += grid) {
          const end = calendar.endOf(step, at)
          if (end !== never) all.push({ start: at / grid, end: Math.ceil(end / grid), by })
        }
    }
    if (step.painters.length > 1) all.sort((one, other) => one.start - other.start || one.end - other.end)
    const end = Int32Array.from(all, (each) => each.end)
    const inOrder = end.every((each, k) => k === 0 || each >= (end[k - 1] ?? 0))
    const starts: Starts = {
      start: Int32Array.from(all, (each) => each.start),
      end,
      by: Uint8Array.from(all, (each) => each.by),
      byEnd: inOrder ? null : Int32Array.from(end.keys()).sort((a, b) => (end[a] ?? 0) - (end[b] ?? 0)),
    }
    made.set(key, starts)
    return starts
  })
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
