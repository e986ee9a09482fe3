/** The steps on the desk as they will be taken: changed by hand, each window to what follows it now, and what is said of them. Pure. */
import type { HouseMethod } from '@/core/craft/method'
import type { PlannedStep } from '@/core/finish/step'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { type EditedStep, editedSteps, type StepEdits, workedSteps } from '@/core/plan/stepEdits'
import { checkStack, type Conflict } from '@/core/stack/checkStack'

interface Around {
  facts: FinishablePart
  wish: FinishWish
  method: HouseMethod
  done: readonly PlannedStep[]
}
export interface DeskSteps {
  /** in the order of work, what is left out in its place */
  steps: EditedStep[]
  /** what is left to work */
  kept: { key: string; step: PlannedStep }[]
  /** what is done and what will be */
  acts: PlannedStep[]
  /** everything that is said, once each */
  told: Conflict[]
  /** by the step where it shows first */
  at: ReadonlyMap<string, Conflict[]>
  /** of the whole */
  overall: Conflict[]
}

export function deskSteps(planned: readonly PlannedStep[], edits: StepEdits, { facts, wish, method, done }: Around): DeskSteps {
  const edited = editedSteps(planned, edits)
  const kept = workedSteps(edited, edits, facts, method, done)
  const acts = [...done, ...kept.map(({ step }) => step)]
  const conflicts = kept.length > 0 ? checkStack({ part: facts, wish, method, acts }) : []
  // said once, where it first shows
  const told = conflicts.filter(({ code }, k) => conflicts.findIndex((each) => each.code === code) === k)
  const at = new Map<string, Conflict[]>()
  for (const conflict of told) {
    const key = kept[(conflict.acts.at(-1) ?? -1) - done.length]?.key
    if (key !== undefined) at.set(key, [...(at.get(key) ?? []), conflict])
  }
  const working = new Map(kept.map(({ key, step }) => [key, step]))
  return {
    steps: edited.map((each) => ({ ...each, step: working.get(each.key) ?? each.step })),
    kept,
    acts,
    told,
    at,
    overall: told.filter((conflict) => conflict.acts.length === 0),
  }
}
