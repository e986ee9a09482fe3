/** The coats ahead that one mix serves, with when each falls. Amounts in ml or g, minutes from now; pure. */
import type { Journey } from '../piece/journey'
import type { PlanStep } from '../piece/piece'

const isAlike = (one: PlanStep, other: PlanStep): boolean =>
  one.family === other.family && one.mix === other.mix && one.colour?.hex === other.colour?.hex

/** Each part goes on without a rest: its steps take their time, then their window opens. Nearest first. */
export function coatsAhead(journeys: readonly Journey[], step: PlanStep): { ml: number; atMinute: number }[] {
  const coats: { ml: number; atMinute: number }[] = []
  for (const { steps, running } of journeys.filter(({ ending }) => !ending).flatMap(({ parts }) => parts)) {
    let atMinute = 0
    for (const { step: each, state } of steps) {
      if (state.status !== 'waiting' && each.id !== running?.step.id) continue
      if (isAlike(each, step) && each.amount !== null) coats.push({ ml: each.amount, atMinute })
      atMinute += each.minutes + (each.window?.opens[1] ?? 0)
    }
  }
  return coats.sort((a, b) => a.atMinute - b.atMinute)
}
