/** A part on its way through the days: its steps, which is next, and what it waits for. Pure. */
import type { PartKind } from '@/core/craft/parts'
import type { PlannedStep } from '@/core/finish/step'
import type { PartId } from '@/core/measure/named'

export interface TimedPart {
  id: PartId
  /** says which of two parts that could begin is turned up first */
  kind?: PartKind | undefined
  steps: readonly PlannedStep[]
  /** when its first step may be done; at once unless given, never where it is infinite */
  readyAt?: number
  /** when the window that its first step stands in closes; it does not unless given */
  closesAt?: number
  /** that window has closed already */
  missed?: boolean
  /** minutes that its first step has been worked: it runs */
  worked?: number
  /** some of it was done: it goes on beside the work around the paint */
  begun?: boolean
  /** the work around the paint: from this of its steps on it comes after all the others, and what is before it comes before them */
  paintFirst?: number
  /** the first side of its first step is laid: it waits to be turned */
  firstLaid?: boolean
  /** minutes that it rests after its last step before the piece may be put together */
  rests?: number
}
export interface Lane extends TimedPart {
  next: number
  readyAt: number
  /** when the window it stands in closes */
  closesAt: number
}

const isDone = ({ next, steps }: Lane) => next >= steps.length
/** Whether the work around the paint comes first, or the paint. */
export function isHeld(lane: Lane, lanes: readonly Lane[]): boolean {
  const whole = lanes.find(({ paintFirst }) => paintFirst !== undefined)
  if (!whole) return false
  const paintFirst = whole.paintFirst ?? 0
  if (lane === whole) return lane.next >= paintFirst && !lanes.every((other) => other === lane || isDone(other))
  return whole.next < paintFirst && lane.next === 0 && !lane.begun
}
/** What waits for the step just laid waits for its window too. */
export function passOn(lane: Lane, lanes: readonly Lane[], now: number): void {
  if (lane.paintFirst !== undefined && lane.next === lane.paintFirst) {
    for (const other of lanes)
      if (other !== lane && other.next === 0 && !other.begun) other.readyAt = Math.max(other.readyAt, lane.readyAt)
  }
  const whole = lanes.find((other) => other.paintFirst !== undefined)
  if (whole && whole !== lane && isDone(lane)) whole.readyAt = Math.max(whole.readyAt, lane.readyAt, now + (lane.rests ?? 0))
}

/** Whether it has a step that will be ready. */
export const isOpen = ({ next, steps, readyAt }: Lane): boolean => next < steps.length && readyAt < Infinity
export const stepOf = (lane: Lane): PlannedStep => {
  const step = lane.steps[lane.next]
  if (!step) throw new Error(`no step ${lane.next} in part ${lane.id}`)
  return step
}

/** The steps of a part whose first runs: so much of that is left. */
export function leftOf(steps: readonly PlannedStep[], worked: number | undefined): readonly PlannedStep[] {
  const [first, ...rest] = steps
  if (worked === undefined) return steps
  return first ? [{ ...first, minutes: Math.max(1, Math.round(first.minutes - worked)) }, ...rest] : []
}

/** The lane whose window closes first. */
export const soonest = (lanes: readonly Lane[]): Lane | null => [...lanes].sort((a, b) => a.closesAt - b.closesAt)[0] ?? null
