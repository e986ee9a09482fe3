/** The steps on the desk as they will be taken: moved and left out by hand, each window to what follows it now, and what is said of them. Pure. */
import type { HouseMethod } from '@/core/craft/method'
import { type PlannedStep, withWindows } from '@/core/finish/step'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { checkStack, type Conflict } from '@/core/stack/checkStack'
import type { DeskStep } from './StepList'

/** What was moved or left out by hand; forgotten when the plan becomes another. */
export interface DeskEdits {
  of: string
  order: number[]
  left: number[]
}

const nameOf = (planned: readonly PlannedStep[]) =>
  planned.map(({ operation, family, colour, where }) => `${operation} ${family} ${colour?.hex} ${where?.share}`).join()

/** The edits of this very plan: none, where they were of another. */
export function editsOf(planned: readonly PlannedStep[], edits: DeskEdits | null): DeskEdits {
  const name = nameOf(planned)
  return edits?.of === name ? edits : { of: name, order: planned.map((_, k) => k), left: [] }
}

interface Around {
  facts: FinishablePart
  wish: FinishWish
  method: HouseMethod
  done: readonly PlannedStep[]
}
export function deskSteps(planned: readonly PlannedStep[], { order, left }: DeskEdits, { facts, wish, method, done }: Around) {
  const ordered: DeskStep[] = order.flatMap((position) => {
    const step = planned[position]
    return step ? [{ step, position, left: left.includes(position) }] : []
  })
  const worked = ordered.filter((each) => !each.left)
  const joined = withWindows(
    worked.map(({ step }) => step),
    facts,
    method,
    done,
  )
  const kept = worked.map((each, k) => ({ ...each, step: joined[k] ?? each.step }))
  const acts = [...done, ...kept.map(({ step }) => step)]
  const conflicts = planned.length > 0 ? checkStack({ part: facts, wish, method, acts }) : []
  // said once, where it first shows
  const told = conflicts.filter(({ code }, k) => conflicts.findIndex((each) => each.code === code) === k)
  const at = new Map<number, Conflict[]>()
  for (const conflict of told) {
    const position = kept[(conflict.acts.at(-1) ?? -1) - done.length]?.position
    if (position !== undefined) at.set(position, [...(at.get(position) ?? []), conflict])
  }
  return {
    steps: ordered.map((each) => kept.find(({ position }) => position === each.position) ?? each),
    kept,
    acts,
    told,
    at,
    overall: told.filter((conflict) => conflict.acts.length === 0),
  }
}
