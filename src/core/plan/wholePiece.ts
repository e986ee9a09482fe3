/** What one part's way does to the whole piece: its hours and days with it, and how many more than before. Pure. */
import type { PlannedStep } from '@/core/finish/step'
import type { WorkingHours } from '@/core/measure/workingHours'
import type { TimedPart } from './lane'
import { layOut } from './timeline'

export interface WholePiece {
  /** attended, alike work in one go */
  minutes: number
  days: number
  more: { minutes: number; days: number }
}

/** `others`: what is ahead of the other parts; `before`: of this one until now, nothing where it had no plan. */
export function wholePiece(
  others: readonly TimedPart[],
  own: Omit<TimedPart, 'steps'>,
  before: readonly PlannedStep[],
  after: readonly PlannedStep[],
  hours: WorkingHours,
): WholePiece {
  const laid = (steps: readonly PlannedStep[]) => {
    const parts = [...others, { ...own, steps }].filter((part) => part.steps.length > 0)
    const { attendedMinutes, days } = layOut(parts, hours)
    return { minutes: attendedMinutes, days: parts.length === 0 ? 0 : days }
  }
  const [old, next] = [laid(before), laid(after)]
  return { ...next, more: { minutes: next.minutes - old.minutes, days: next.days - old.days } }
}
