/**
 * A plan grown by the steps that mend a mistake: the remedy first, then what was ahead, completed by the rules, so that what was
 * sealed is broken where it must be, the layers come back as they were, the seal is renewed, and nothing is done twice. Pure.
 */
import { defaultMethod } from '@/core/craft/method'
import { getOperation, type OperationCode } from '@/core/craft/operations'
import { getRemedy, type RemedyCode } from '@/core/craft/remedies'
import type { Remedy } from '@/core/craft/remedies/remedy'
import { inSheen } from '@/core/finish/sheen'
import { plainStep, type PlannedStep } from '@/core/finish/step'
import { places, placesUnder } from '@/core/finish/touch'
import { lyingFrom } from '@/core/stack/afterAct'
import { checkStack } from '@/core/stack/checkStack'
import { isClear, isCoat, isPrimer } from '@/core/stack/rules/ask'
import { type Act, isLaid, isPainted } from '@/core/stack/surface'
import { complete } from './complete'
import { remedySteps, type Spoiled } from './remedySteps'

/** A step still ahead; one that mends names its snag. */
export type PlanAhead = PlannedStep & { mends?: string | null }

/** A step that came too late takes three times its minutes. */
const tooLate = 3

/** The mending, then what was ahead; `snag` names what the added steps mend. */
export function mend(code: RemedyCode, spoiled: Spoiled, ahead: readonly PlanAhead[], snag: string | null = null): PlanAhead[] {
  const { part, wish, done, method = defaultMethod } = spoiled
  const { replaces = [], leaves = [], share }: Remedy = getRemedy(code)
  const replaced = firstOf(ahead, replaces)
  const still = ahead.filter((step) => !replaced.includes(step)).map((step) => ({ ...step, mends: step.mends ?? null }))
  const late = replaced.find(({ operation }) => operation.endsWith('-distress'))
  const remedy = fewerBy(still, remedySteps(code, spoiled, still), done)
    .filter(({ operation }) => !leaves.includes(operation) || !still.some((step) => step.operation === operation))
    .map((step) => (late && step.operation === 'dry-distress' ? { ...step, minutes: late.minutes * tooLate } : step))
  const left = after(remedy, still, done)
  // what the painter had decided already stays decided
  const departed = checkStack({ part, wish, method, acts: [...done, ...ahead] })
    .filter(({ acts }) => acts.length === 0 || (acts.at(-1) ?? 0) >= done.length)
    .map(({ code: known }) => known)
  const wanted: PlanAhead[] = [...remedy.map((step) => ({ ...step, mends: snag })), ...left]
  const steps = complete<PlanAhead>({ part, wish, method, done, wanted, departed, small: { share, until: remedy.length } })
  return inSheen(steps, wish.sheen, done).map((step) => ('mends' in step ? step : { ...step, mends: snag }))
}

/** What was still ahead, after a repair that laid other ground: milk paint holds on to a primer by its bonding agent, and no clear is keyed. */
function after(remedy: readonly PlannedStep[], ahead: readonly PlanAhead[], done: readonly Act[]): readonly PlanAhead[] {
  const primes = remedy.some(isPrimer)
  const bonds = ({ family, mix, changed }: PlanAhead) => family === 'casein' && !changed && !/bonding/.test(mix ?? '')
  const bonded = ahead.map((step) =>
    primes && isCoat(step) && bonds(step) ? { ...step, mix: `${step.mix ?? 'powder : water 1 : 1'}, with bonding agent` } : step,
  )
  const wasClear = isClear(done.findLast(isLaid) ?? plainStep('rest', 0))
  return wasClear && remedy.some(({ colour }) => colour) && bonded[0]?.operation === 'smooth' ? bonded.slice(1) : bonded
}

const alike = (one: PlannedStep, other: PlannedStep) =>
  one.operation === other.operation && one.family === other.family && one.colour?.hex === other.colour?.hex

/** What a repair lays to cover, less the coats of it that are still ahead: they go over the mended place too. One it lays itself. */
function fewerBy(ahead: readonly PlannedStep[], remedy: readonly PlannedStep[], done: readonly Act[]): PlannedStep[] {
  // where no colour lies yet, all of it is ahead, and the primer too
  const coloured = ahead.filter(({ colour }) => colour)
  if (coloured.length > 0 && !done.slice(lyingFrom(done)).some(isPainted)) {
    const at = placesUnder(coloured)
    const where = at.length < places.length ? { where: { places: at } } : {}
    return remedy
      .filter((step) => !step.colour && !(isPrimer(step) && ahead.some(isPrimer)))
      .map((step) => (isPrimer(step) ? { ...step, ...where } : step))
  }
  const last = remedy.findLast(({ operation }) => operation === 'coat')
  if (!last) return [...remedy]
  const next = ahead.findIndex((step) => getOperation(step.operation).layer !== undefined && !alike(step, last))
  let spare = ahead.slice(0, next < 0 ? ahead.length : next).filter((step) => alike(step, last)).length
  const laid = remedy.filter((step) => alike(step, last))
  return remedy.filter((step) => !(step !== laid[0] && alike(step, last) && spare-- > 0))
}

/** The first of each of these operations among the steps ahead, before anything else is laid. */
function firstOf(ahead: readonly PlanAhead[], operations: readonly OperationCode[]): PlanAhead[] {
  return operations.flatMap((operation) => ahead.find((step) => step.operation === operation) ?? [])
}
