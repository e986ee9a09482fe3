/** What is ahead of a piece, in hours and in money: by the plan, or by what the studio has learned. Money in minor units; pure. */
import { consumableKind, type ConsumablePrices } from '@/core/craft/consumables'
import { type FamilyCode, getFamily } from '@/core/craft/families'
import { type Estimator, factorFor } from '@/core/learn/estimate'
import { isAhead } from '@/core/log/stepStates'
import { roundMoney } from '@/core/measure/money'
import type { Relief } from '@/core/measure/surfaceArea'
import { materialsOf } from '@/core/plan/amounts'
import type { Journey } from './journey'
import { lanesOf } from './lanes'
import type { Part, PlanStep } from './piece'
import { usedUpCost } from './usedUp'

/** How moulded a part is: the relief that most of its surfaces have. */
export function reliefOf({ surfaces }: Pick<Part, 'surfaces'>): Relief | undefined {
  const counts = new Map<Relief, number>()
  for (const { relief, count } of surfaces) counts.set(relief, (counts.get(relief) ?? 0) + count)
  return [...counts].sort(([one, a], [other, b]) => b - a || one.localeCompare(other))[0]?.[0]
}

/** Minutes ahead, step by step: set-up that alike work shares is taken off, and each takes as long as it does here. */
export function minutesAhead(journey: Journey, estimator?: Estimator): { step: PlanStep; minutes: number }[] {
  const article = journey.file.piece.article ?? undefined
  const steps = lanesOf(journey).flatMap(({ part, steps: own }) =>
    own.flatMap(({ step, state }) => (isAhead(state) ? [{ step, relief: reliefOf(part) }] : [])),
  )
  const planned = steps.reduce((sum, { step }) => sum + step.minutes, 0)
  const shared = planned > 0 ? journey.minutesLeft / planned : 0
  return steps.map(({ step, relief }) => {
    // what the painter said of a step stands
    const own = step.own !== undefined || step.changed === true
    const factor = estimator && !own ? factorFor(estimator, { operation: step.operation, article, relief }) : 1
    return { step, minutes: step.minutes * shared * factor }
  })
}

/** What a step ahead takes, with its price; `price` is null where the shelf has none. */
export function materialsAhead(journey: Journey, unitPrice: Partial<Record<FamilyCode, number>>) {
  return journey.parts.flatMap(({ steps, part }) =>
    steps
      .filter(({ state }) => state.coat === null && isAhead(state))
      .flatMap(({ step }) =>
        materialsOf(step, part.plan?.paint ?? null)
          .filter(({ family }) => getFamily(family).role !== 'cleaner')
          .map(({ family, amount }) => {
            const each = unitPrice[family]
            return { stepId: step.id, family, price: each === undefined ? null : roundMoney(amount * each) }
          }),
      ),
  )
}

/** What steps ahead will use up. */
export const usedUpAhead = (journey: Journey, consumables: ConsumablePrices | undefined) =>
  consumables === undefined
    ? []
    : lanesOf(journey).flatMap(({ part, steps }) =>
        steps
          .filter(({ state }) => isAhead(state))
          .map(({ step }) => ({ kind: consumableKind(step.operation), money: usedUpCost(step, part, consumables) })),
      )
