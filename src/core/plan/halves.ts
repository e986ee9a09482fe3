/** A step that is laid on two sides as the two that it is: the first side, the wait until it may be turned, the second. Pure. */
import type { PlannedStep } from '@/core/finish/step'

/** What is worked at one time: a step, or one side of it. */
export interface Half<T extends PlannedStep = PlannedStep> {
  step: T
  /** position in the part's steps */
  index: number
  side?: 1 | 2
}

/** The wait between the sides stands as the window of the first. */
export function halvesOf<T extends PlannedStep>(steps: readonly T[], firstLaid = false): Half<T>[] {
  return steps.flatMap((step, index): Half<T>[] => {
    const { turns } = step
    if (turns === undefined) return [{ step, index }]
    const first = Math.max(1, Math.ceil(step.minutes / 2))
    const second = Math.max(1, step.minutes - first)
    const clock = step.window?.clock ?? 'evaporation'
    const wait = { clock, opens: [turns, turns] as [number, number], source: 'practice' as const }
    const halves: Half<T>[] = [
      { step: { ...step, minutes: first, turns: undefined, window: wait }, index, side: 1 },
      { step: { ...step, minutes: second, turns: undefined }, index, side: 2 },
    ]
    return index === 0 && firstLaid ? halves.slice(1) : halves
  })
}
