/**
 * The painter's own list of touches, where the rules of the stack stop it whatever is put in between: which touch, and the nearest
 * list that holds. Pure.
 */
import type { HouseMethod } from '@/core/craft/method'
import { type ListWish, othersAt } from '@/core/finish/listRefusal'
import type { FinishRefusal, Nearest } from '@/core/finish/refusal'
import { findRefusal } from '@/core/finish/refusals'
import type { PlannedStep } from '@/core/finish/step'
import type { Touch } from '@/core/finish/touch'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { checkStack } from '@/core/stack/checkStack'
import type { Act } from '@/core/stack/surface'
import { stepsAfter } from './stepsAfter'

interface Stop {
  rule: string
  touch: string
}

/** The first rule that stops a list once it is planned, and the touch that it stops. */
function stopOf(
  part: FinishablePart,
  wish: FinishWish,
  method: HouseMethod,
  done: readonly Act[],
  steps: readonly PlannedStep[],
): Stop | null {
  const stopped = checkStack({ part, wish, method, acts: [...done, ...steps] }).find(
    ({ severity, acts }) => severity === 'stop' && (acts.length === 0 || (acts.at(-1) ?? 0) >= done.length),
  )
  if (!stopped) return null
  // what the rules put in is there for the touch after it
  const at = (stopped.acts.at(-1) ?? done.length + steps.length) - done.length
  const touch = [...steps.slice(at), ...steps.slice(0, at).reverse()].find((step) => step.touch)?.touch
  return { rule: stopped.code, touch: touch ?? wish.touches?.at(-1)?.id ?? '' }
}

/** A list settled touch by touch, what is stopped laid otherwise or left away; null where nothing is left to lay. */
function heldList(part: FinishablePart, wish: ListWish, method: HouseMethod, done: readonly Act[]): readonly Touch[] | null {
  const stopIn = (tried: ListWish) => stopOf(part, tried, method, done, stepsAfter(done, part, tried, method))
  let [tried, stop] = [wish, stopIn(wish)]
  while (stop && tried.touches.length > 1) {
    const { touch } = stop
    const at = Math.max(
      0,
      tried.touches.findIndex(({ id }) => id === touch),
    )
    let next: [ListWish, Stop | null] | null = null
    for (const touches of othersAt(part, tried.touches, at)) {
      const other = { ...tried, touches }
      if (findRefusal(part, other)) continue
      const left = stopIn(other)
      // the first that holds, else without it
      if (left === null || touches.length < tried.touches.length) next = [other, left]
      if (left === null) break
    }
    if (!next) return null
    ;[tried, stop] = next
  }
  return stop ? null : tried.touches
}

/** The steps still to be worked after what was done, or why the wish can't be had, with the nearest that can. */
export function stepsOrRefusal(
  part: FinishablePart,
  wish: FinishWish,
  method: HouseMethod,
  done: readonly Act[],
): { steps: PlannedStep[] } | { refusal: FinishRefusal } {
  const held = (list: ListWish): Nearest | null => {
    const touches = heldList(part, list, method, done)
    return touches && { touches, seal: list.seal }
  }
  const refusal = findRefusal(part, wish)
  if (refusal) {
    const touches = refusal.nearest?.touches
    return { refusal: touches ? { ...refusal, nearest: held({ ...wish, ...refusal.nearest, touches }) } : refusal }
  }
  const steps = stepsAfter(done, part, wish, method)
  // a look on clean ground holds: every combination is tried by a test
  if (!wish.touches && done.length === 0) return { steps }
  const stop = stopOf(part, wish, method, done, steps)
  if (!stop) return { steps }
  return { refusal: { code: 'layers', ...stop, nearest: wish.touches ? held({ ...wish, touches: wish.touches }) : null } }
}
