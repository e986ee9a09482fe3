/**
 * A whole piece in, its way out: each part's steps or why not, what the parts share, hours, days and amounts. Pure.
 */
import { defaultMethod, type HouseMethod } from '../finish/method'
import type { FamilyCode } from '../finish/families'
import { planFinish, type FinishablePart, type FinishPlan, type FinishWish, type PlannedStep } from '../finish/planFinish'
import type { FinishRefusal } from '../finish/refusals'
import { checkStack, type Conflict } from '../stack/checkStack'
import { layOut, usualHours, type Timeline, type WorkingHours } from './timeline'

export interface PieceWish {
  parts: readonly { id: string; facts: FinishablePart; wish: FinishWish; method?: Partial<HouseMethod> }[]
  method?: HouseMethod
  hours?: WorkingHours
  /** families on the shelf; what is not among them is to be bought */
  shelf?: readonly FamilyCode[]
}
export interface PartPlan {
  id: string
  plan: FinishPlan
  /** what the stack check still says of the plan: advice alone */
  conflicts: Conflict[]
}
export interface Amount {
  family: FamilyCode
  hex: string | null
  /** the colour's name */
  name: string | null
  /** ml, or g for wax */
  amount: number
}
export interface PiecePlan {
  parts: PartPlan[]
  refused: { id: string; refusal: FinishRefusal }[]
  timeline: Timeline
  amounts: Amount[]
  toBuy: FamilyCode[]
}

/** The plan of every part that has one, in one painter's days. Throws where a plan would not hold: a hole in the tables. */
export function planPiece({ parts, method = defaultMethod, hours = usualHours, shelf }: PieceWish): PiecePlan {
  const planned: PartPlan[] = []
  const refused: PiecePlan['refused'] = []
  for (const { id, facts, wish, method: departure } of parts) {
    const own = { ...method, ...departure }
    const outcome = planFinish(facts, wish, own)
    if ('refusal' in outcome) {
      refused.push({ id, refusal: outcome.refusal })
      continue
    }
    const conflicts = checkStack({ part: facts, wish, method: own, acts: outcome.plan.steps })
    const stop = conflicts.find(({ severity }) => severity === 'stop')
    if (stop) throw new Error(`the plan of part ${id} will not hold: ${stop.code}`)
    planned.push({ id, plan: outcome.plan, conflicts })
  }
  const amounts = sumAmounts(planned.flatMap(({ plan }) => plan.steps))
  return {
    parts: planned,
    refused,
    timeline: layOut(
      planned.map(({ id, plan }) => ({ id, steps: plan.steps })),
      hours,
    ),
    amounts,
    toBuy: shelf ? [...new Set(amounts.map(({ family }) => family))].filter((family) => !shelf.includes(family)) : [],
  }
}

/** What steps take in all, by product family and colour. */
export function sumAmounts(steps: readonly PlannedStep[]): Amount[] {
  const sums = new Map<string, Amount>()
  for (const { family, colour, amount } of steps) {
    if (family === null || amount === null) continue
    const hex = colour?.hex ?? null
    const key = `${family} ${hex}`
    sums.set(key, { family, hex, name: colour?.name ?? null, amount: (sums.get(key)?.amount ?? 0) + amount })
  }
  return [...sums.values()]
}
