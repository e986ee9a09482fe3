/** The coats ahead that one mix serves, with when each falls. Amounts in ml or g, minutes from now; pure. */
import type { StepId } from '@/core/measure/named'
import type { Journey } from '@/core/piece/journey'
import type { PlanStep } from '@/core/piece/piece'

const isAlike = (one: PlanStep, other: PlanStep): boolean =>
  one.family === other.family && one.mix === other.mix && one.colour?.hex === other.colour?.hex

type Ahead = Pick<Journey, 'parts' | 'ending'>
interface CoatAhead {
  stepId: StepId
  ml: number
  atMinute: number
}

/** Each part goes on without a rest: its steps take their time, then their window opens. Nearest first. */
export function coatsAhead(journeys: readonly Ahead[], step: PlanStep): CoatAhead[] {
  const coats: CoatAhead[] = []
  for (const { steps, running } of journeys.filter(({ ending }) => !ending).flatMap(({ parts }) => parts)) {
    let atMinute = 0
    for (const { step: each, state } of steps) {
      if (state.status !== 'waiting' && each.id !== running?.step.id) continue
      if (isAlike(each, step) && each.amount !== null) coats.push({ stepId: each.id, ml: each.amount, atMinute })
      atMinute += each.minutes + (each.window?.opens[1] ?? 0)
    }
  }
  return coats.sort((a, b) => a.atMinute - b.atMinute)
}

/** The steps whose coats one mix serves. */
export const stepsAhead = (journeys: readonly Ahead[], step: PlanStep): string[] =>
  coatsAhead(journeys, step).map(({ stepId }) => stepId)
