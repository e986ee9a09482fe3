/** What a layer would ask for at another place of the list: what comes in, what goes out, or why it can't be. Pure. */
import type { HouseMethod } from '@/core/craft/method'
import type { FinishRefusal } from '@/core/finish/refusal'
import type { PlannedStep } from '@/core/finish/step'
import type { Touch } from '@/core/finish/touch'
import { editTouches } from '@/core/finish/touchList'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { differenceOf, replan } from '@/core/plan/replan'

export type MoveAsked = { refusal: FinishRefusal } | { added: PlannedStep[]; dropped: PlannedStep[]; minutes: number }
interface Given {
  facts: FinishablePart
  wish: FinishWish
  method: HouseMethod
  done: readonly PlannedStep[]
  planned: readonly PlannedStep[]
  touches: readonly Touch[]
}

export function moveAsks({ facts, wish, method, done, planned, touches }: Given, id: string, to: number): MoveAsked {
  const outcome = replan(facts, { ...wish, touches: editTouches(touches, { kind: 'move', id, to }) }, done, method)
  if ('refusal' in outcome) return { refusal: outcome.refusal }
  const { added, dropped, minutes } = differenceOf(planned, outcome.steps)
  return { added, dropped, minutes }
}
