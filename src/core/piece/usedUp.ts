/** The small things that steps of a part use up, and what they cost by a house's prices. Money in minor units; pure. */
import {
  type ConsumableCode,
  type ConsumablePrices,
  consumablesCost,
  consumablesOf,
  type ConsumableUse,
} from '@/core/craft/consumables'
import type { PlannedStep } from '@/core/finish/step'
import { shareOf } from '@/core/finish/touch'
import { isAhead } from '@/core/log/stepStates'
import { roundMoney } from '@/core/measure/money'
import { areaOfPart } from './area'
import type { Journey } from './journey'
import { lanesOf } from './lanes'
import type { Part } from './piece'

type Worked = Pick<PlannedStep, 'operation' | 'minutes' | 'where'>
type Measured = Pick<Part, 'surfaces' | 'count'>

export const usedUpBy = ({ operation, minutes, where }: Worked, part: Measured): ConsumableUse[] =>
  consumablesOf({ operation, minutes, areaM2: areaOfPart(part) * (where ? Math.min(1, shareOf(where)) : 1) })

/** What a step's consumables cost, rounded. */
export const usedUpCost = (step: Worked, part: Measured, prices: ConsumablePrices): number =>
  roundMoney(consumablesCost(usedUpBy(step, part), prices))

/** What a piece uses up in all, from its first step to its last. */
export const usedUpOn = (journey: Pick<Journey, 'parts' | 'whole'>): ConsumableUse[] =>
  sumUsed(
    lanesOf(journey).flatMap(({ part, steps, done }) =>
      [...done.map(({ step }) => step), ...steps.flatMap(({ step, state }) => (isAhead(state) ? [step] : []))].flatMap((step) =>
        usedUpBy(step, part),
      ),
    ),
  )

/** All of them together, in the order of the list. */
function sumUsed(all: readonly ConsumableUse[]): ConsumableUse[] {
  const sums = new Map<ConsumableCode, number>()
  for (const { code, amount } of all) sums.set(code, (sums.get(code) ?? 0) + amount)
  return [...sums].map(([code, amount]) => ({ code, amount }))
}
