/**
 * What the rules say of a part as it stands: of what was just logged, as it was logged; of the step about to be begun; and of
 * stops that its plan still carries. Nothing is blocked by it. Pure.
 */
import { getFamily } from '@/core/craft/families'
import { getOperation } from '@/core/craft/operations'
import { type AirTrouble, airTrouble } from '@/core/drying/air'
import type { StepState } from '@/core/log/stepStates'
import { checkStack, type Conflict } from '@/core/stack/checkStack'
import type { Act } from '@/core/stack/surface'
import { factsOf } from './facts'
import type { PartJourney } from './journey'
import type { PlanStep } from './piece'

export interface Judged {
  /** what will happen to the step logged last, by what was logged */
  behind: Conflict[]
  /** what will happen to the step about to be begun */
  next: Conflict[]
  /** stops further on: the plan was taken with them */
  ahead: Conflict[]
  /** the air is wrong for beginning the next step */
  air: AirTrouble | null
}

/** A step as it was really worked: another product, mix or film than planned. */
function asLogged(step: PlanStep, { coat }: StepState): Act {
  if (!coat) return step
  const { family, mix, film, applicator, sheen } = coat.coat
  // powder is never used as it comes: an empty mix there says nothing
  return {
    ...{ ...step, family, film, sheen: sheen ?? step.sheen },
    mix: family === 'casein' ? (mix ?? step.mix) : mix,
    applicator: applicator ?? step.applicator,
  }
}

/** Whether water must leave it to dry. */
const isWaterBorne = ({ operation, family }: PlanStep): boolean =>
  family !== null && getOperation(operation).layer !== undefined && getFamily(family).clock === 'evaporation'

/** What to say of a part; silent where nothing is planned. Conflicts name positions among what is done and what is ahead. */
export function judgedOf(journey: PartJourney): Judged {
  const { part, steps, done, next, air, method } = journey
  const { plan } = part
  const trouble = next && air && isWaterBorne(next) ? airTrouble(air) : null
  if (!plan || plan.care) return { behind: [], next: [], ahead: [], air: trouble }
  const behind = done.map(({ step, state }) => asLogged(step, state))
  const ahead = steps.filter(({ state }) => ['waiting', 'running', 'paused'].includes(state.status)).map(({ step }) => step)
  const found = checkStack({
    part: factsOf(part),
    wish: { ...plan, seal: plan.seal ?? undefined },
    method,
    acts: [...behind, ...ahead],
  }).filter(({ severity }) => severity !== 'advice')
  const at = ({ acts }: Conflict) => acts.at(-1) ?? Infinity
  return {
    behind: found.filter((conflict) => at(conflict) === behind.length - 1),
    next: found.filter((conflict) => at(conflict) === behind.length),
    ahead: found.filter((conflict) => conflict.severity === 'stop' && at(conflict) > behind.length),
    air: trouble,
  }
}
