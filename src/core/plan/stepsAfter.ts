/** What a wish asks of a part after what was done on it: its own lines that are still to be worked, completed by the rules. Pure. */
import type { HouseMethod } from '@/core/craft/method'
import { getOperation } from '@/core/craft/operations'
import { isProven } from '@/core/finish/ground'
import { isPrimed, wishedLines } from '@/core/finish/lines'
import { inSheen } from '@/core/finish/sheen'
import { type PlannedStep, toSteps } from '@/core/finish/step'
import { chooseTopcoat } from '@/core/finish/topcoat'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { lyingFrom } from '@/core/stack/afterAct'
import type { Act } from '@/core/stack/surface'
import { complete } from './complete'

/** What a wish wants laid on a part, as if on clean, sound ground: its touches and its topcoat's. */
function wantedSteps(part: FinishablePart, wish: FinishWish, method: HouseMethod, primed: boolean): PlannedStep[] {
  const lines = wishedLines(part, wish, method, chooseTopcoat(part, wish, method), primed)
  return toSteps(part, lines, { method, primed, proves: isProven(part, wish, method) })
}

const colourless = (act: Act) => ['intake', 'repair', 'prep', 'prime'].includes(getOperation(act.operation).stage)
/** The same work: a preparation whatever the product, anything else in its product and colour. */
const same = (one: Act, other: Act) =>
  one.operation === other.operation && (colourless(one) || (one.family === other.family && one.colour?.hex === other.colour?.hex))

/** Covers or tints what lies below it. */
const hides = ({ operation, colour }: Act) =>
  colour !== null && ['paint', 'wash', 'glaze', 'texture', 'crackle'].includes(getOperation(operation).layer ?? '')

/**
 * Where a new plan goes on after what was done: the position after the last of its steps that is behind. A coat of colour
 * that has not been laid is never passed over, whatever was done after it; over a colour that the plan does not have, all of
 * its colours are laid again.
 */
export function positionAfter(steps: readonly Act[], done: readonly Act[]): number {
  const colours = new Set(steps.map(({ colour }) => colour?.hex))
  const firstColour = steps.findIndex(hides)
  const passed = (from: number, acts: readonly Act[]) =>
    acts.reduce((position, act) => {
      if (hides(act) && firstColour >= 0 && !colours.has(act.colour?.hex)) return Math.min(position, firstColour)
      const found = steps.findIndex((step, k) => k >= position && same(step, act))
      return found >= 0 && steps.slice(position, found).every(({ colour }) => colour === null) ? found + 1 : position
    }, from)
  // what was stripped off again is not behind; the stripping itself is, where it is one of the steps
  const lying = lyingFrom(done)
  const stripped = lyingFrom(steps.slice(0, passed(0, done.slice(0, lying))))
  return passed(stripped, done.slice(lying))
}

/** The steps still to be worked; those of the whole plan where nothing is done. */
export function stepsAfter(done: readonly Act[], part: FinishablePart, wish: FinishWish, method: HouseMethod): PlannedStep[] {
  const plan = (primed: boolean) => {
    const whole = wantedSteps(part, wish, method, primed)
    return inSheen(complete({ part, wish, method, done, wanted: whole.slice(positionAfter(whole, done)) }), wish.sheen, done)
  }
  const lies = isPrimed(done.slice(lyingFrom(done)))
  const first = plan(lies)
  // over a primer colours cover otherwise, and milk paint is mixed otherwise
  return !lies && isPrimed(first) ? plan(true) : first
}
