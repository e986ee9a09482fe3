/** When each step must be over for its piece to end by a date, through its workers' hours, and how much work that leaves them. Pure. */
import { never } from './calendar'
import type { StepFacts } from './stepFacts'

export interface Towards {
  /** by step: its latest start */
  start: Int32Array
  /** steps in the order in which they must be over */
  order: Int32Array
  /** by step: its place in that order */
  place: Int32Array
  /** by place: minutes that all hands together work until it must be over */
  worked: Float64Array
}

/** Null where a piece can't end by its date. `order`: steps after what they wait for. */
export function towards(dates: readonly number[], facts: StepFacts, order: readonly number[]): Towards | null {
  const { pieces, grid, horizon } = facts.problem
  const { count, waits, by: hands, byAt, dur, split, work } = facts
  const start = new Int32Array(count)
  const end = new Int32Array(count)
  const due = new Int32Array(count).fill(horizon)
  pieces.forEach(({ final }, piece) => (due[final] = Math.min(due[final] ?? horizon, dates[piece] ?? horizon)))
  for (let nth = order.length - 1; nth >= 0; nth -= 1) {
    const step = order[nth] ?? 0
    let until = due[step] ?? horizon
    for (let k = waits.outAt[step] ?? 0; k < (waits.outAt[step + 1] ?? 0); k += 1) {
      const lag = waits.out[k] ?? 0
      until = Math.min(until, (start[waits.to[lag] ?? 0] ?? 0) - (waits.min[lag] ?? 0))
    }
    let latest: number = never
    for (let k = byAt[step] ?? 0; k < (byAt[step + 1] ?? 0); k += 1) {
      const by = hands[k] ?? 0
      const found = latestOf(step, by, until)
      if (found <= latest) continue
      latest = found
      end[step] = facts.endOf(step, by, found)
    }
    if (latest === never) return null
    start[step] = latest
  }
  const byEnd = Int32Array.from(order).sort((one, other) => (end[one] ?? 0) - (end[other] ?? 0))
  const place = new Int32Array(count)
  byEnd.forEach((step, k) => (place[step] = k))
  const worked = Float64Array.from(byEnd, (step) => facts.workedByAll[Math.floor((end[step] ?? 0) / grid)] ?? 0)
  return { start, order: byEnd, place, worked }

  function latestOf(step: number, by: number, until: number): number {
    const pin = facts.pinOf(step)
    if (pin) return pin.by === by && pin.end <= until ? pin.start : never
    return latestStart(work[by] ?? [], dur[step] ?? 0, split[step] === 1, until)
  }
}

function latestStart(work: readonly (readonly [number, number])[], dur: number, split: boolean, until: number): number {
  let left = dur
  for (let k = work.length - 1; k >= 0; k -= 1) {
    const [from, to] = work[k] ?? [0, 0]
    const end = Math.min(to, until)
    if (end <= from) continue
    if (end - from >= left) return end - left
    if (split) left -= end - from
  }
  return never
}
