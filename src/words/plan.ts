/** What the plan desk says of a plan: against the one in force, of the whole piece, of what can't be had. */
import { getFamily } from '@/core/craft/families'
import { getLook } from '@/core/craft/looks'
import { sheens } from '@/core/craft/sheen'
import { getTopcoat } from '@/core/craft/topcoats'
import type { MoveAsked } from '@/core/desk/moveAsks'
import type { FinishRefusal, Nearest } from '@/core/finish/refusal'
import type { PlannedStep } from '@/core/finish/step'
import type { Measuring } from '@/core/measure/units'
import type { Amount } from '@/core/plan/amounts'
import type { PlanDifference } from '@/core/plan/replan'
import type { WholePiece } from '@/core/plan/wholePiece'
import type { ConflictCode } from '@/core/stack/rules'
import { conflictWords } from './conflicts'
import { refusalWords, stepTitle } from './craft'
import { amountWords } from './measure'
import { spanWords } from './time'

export function differenceWords({ added, dropped, minutes, days, amounts }: PlanDifference, house: Measuring): string {
  if (added.length === 0 && dropped.length === 0) return 'The rest is the plan in force.'
  const steps = (list: readonly PlannedStep[]) => list.map((step) => stepTitle(step).toLowerCase()).join(', ')
  return [
    `Against the plan in force ${minutes >= 0 ? '+' : '−'}${spanWords(Math.abs(minutes))}, ${daysWords(days)}.`,
    added.length > 0 ? `More: ${steps(added)}.` : '',
    dropped.length > 0 ? `No longer: ${steps(dropped)}.` : '',
    amounts.length > 0 ? `From the shelf: ${amounts.map((each) => changeOfAmount(each, house)).join(', ')}.` : '',
  ]
    .filter(Boolean)
    .join(' ')
}

/** What this part does to the piece it belongs to. */
export function wholeWords({ minutes, days, more }: WholePiece): string {
  const whole = `The whole piece: ${spanWords(minutes)} over ${days === 1 ? 'one day' : `${days} days`}`
  if (more.minutes === 0 && more.days === 0) return `${whole}, as before.`
  return `${whole}; that is ${more.minutes >= 0 ? '+' : '−'}${spanWords(Math.abs(more.minutes))}, ${daysWords(more.days)}.`
}

const daysWords = (days: number) =>
  days === 0 ? 'as many days' : `${days > 0 ? '+' : '−'}${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'}`
const changeOfAmount = ({ family, name, amount }: Amount, house: Measuring) =>
  `${amount > 0 ? '+' : '−'}${amountWords(family, Math.abs(amount), house)} ${name ?? getFamily(family).words}`

/** Why a layer of the painter's own list can't be had; a rule of the stack says it better than the kind of refusal. */
export const whyNot = ({ code, rule }: FinishRefusal): string => (rule ? conflictWords[rule as ConflictCode] : refusalWords[code])

/** The nearest that can be had. */
export function nearestWords({ look, paint, seal, sheen, with: extras, touches }: Nearest): string {
  return [
    look && getLook(look).words,
    paint && getFamily(paint).words,
    seal && getTopcoat(seal).words,
    sheen && sheens[sheen],
    !look && extras?.length === 0 && 'without what is laid over it',
    touches && 'the layers that hold',
  ]
    .filter(Boolean)
    .join(', ')
}

/** What a layer asks for where it is held. */
export function moveWords(asked: MoveAsked): string {
  if ('refusal' in asked) return `Not here: ${whyNot(asked.refusal)}`
  const { added, dropped, minutes } = asked
  const named = (list: readonly PlannedStep[]) => [...new Set(list.map((step) => stepTitle(step).toLowerCase()))].join(', ')
  if (added.length === 0 && dropped.length === 0) return 'Here it asks for nothing more.'
  return [
    added.length > 0 && `Here it asks for: ${named(added)}.`,
    dropped.length > 0 && `No longer: ${named(dropped)}.`,
    `${minutes >= 0 ? '+' : '−'}${spanWords(Math.abs(minutes))}.`,
  ]
    .filter(Boolean)
    .join(' ')
}
