/**
 * A whole piece in, its way out: each part's steps or why not, what the parts share, hours, days and amounts. Pure.
 */
import type { FamilyCode } from '@/core/craft/families'
import { defaultMethod, type HouseMethod } from '@/core/craft/method'
import type { PartKind } from '@/core/craft/parts'
import type { FinishRefusal } from '@/core/finish/refusal'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import type { PartId } from '@/core/measure/named'
import { usualHours, type WorkingHours } from '@/core/measure/workingHours'
import { checkStack, type Conflict } from '@/core/stack/checkStack'
import { type Amount, lackingOn, type Shelf, sumAmounts } from './amounts'
import { type FinishPlan, planFinish } from './planFinish'
import { listShared, type SharedWork } from './sharedWork'
import { layOut, type Timeline } from './timeline'

export interface PieceWish {
  parts: readonly {
    id: PartId
    kind?: PartKind | undefined
    facts: FinishablePart
    wish: FinishWish
    method?: Partial<HouseMethod>
  }[]
  method?: HouseMethod
  hours?: WorkingHours
  /** what is on the shelf; what it has too little of is to be bought */
  shelf?: Shelf
}
export interface PartPlan {
  id: PartId
  plan: FinishPlan
  /** what the stack check still says of the plan: advice alone */
  conflicts: Conflict[]
}
export interface PiecePlan {
  parts: PartPlan[]
  refused: { id: PartId; refusal: FinishRefusal }[]
  timeline: Timeline
  /** what several parts have worked in one go */
  shared: SharedWork[]
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
  const kinds = new Map(parts.map(({ id, kind }) => [id, kind]))
  const timed = planned.map(({ id, plan }) => ({ id, kind: kinds.get(id), steps: plan.steps }))
  const timeline = layOut(timed, hours)
  return {
    parts: planned,
    refused,
    timeline,
    shared: listShared(timeline.slots, timed),
    amounts,
    toBuy: shelf ? lackingOn(shelf, amounts) : [],
  }
}
