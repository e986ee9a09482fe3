/** A part as the plan desk holds it: its facts, what is done on it, what was wished before. */
import type { HouseMethod } from '@/core/craft/method'
import type { PlanBefore } from '@/core/desk/state'
import type { FinishablePart } from '@/core/finish/wish'
import type { PartId, PieceId } from '@/core/measure/named'
import type { Part, PlanStep } from '@/core/piece/piece'
import type { TimedPart } from '@/core/plan/lane'

export interface PlanPart extends Omit<Part, 'plan' | 'earlier'> {
  pieceId: PieceId
  done: PlanStep[]
  /** what is still ahead of it by the plan in force */
  ahead: PlanStep[]
  /** what is still ahead of the piece's other parts */
  others: TimedPart[]
  /** the piece's other parts that have no plan yet: the same may be laid on them */
  unplanned: { id: PartId; name: string; facts: FinishablePart }[]
  /** the plan in force */
  before: PlanBefore | null
  method: HouseMethod
}
