/** The week's problem as the studio sees it: which step of which piece each of its steps is, what is held to, what it is made from. Pure types. */
import type { Air } from '@/core/drying/air'
import type { Learned } from '@/core/learn/learned'
import type { PartId, PersonId, PieceId, StepId } from '@/core/measure/named'
import type { Journey } from '@/core/piece/journey'
import type { PlanStep } from '@/core/piece/piece'
import type { WorkshopProblem } from '@/core/schedule/problem'
import type { Hand, OtherDay } from './hands'

/** A step of the week: what it is, and where. */
export interface Place {
  pieceId: PieceId
  /** null where a piece of several parts is only put together and looked over */
  partId: PartId | null
  step: PlanStep | null
  side?: 1 | 2 | undefined
}
/** What the painter holds to: when a step begins, or who works it. */
export interface Pin {
  stepId: StepId
  side: 1 | 2 | null
  at: number | null
  personId: PersonId | null
}
export interface WeekAround {
  nowMs: number
  zone: string
  hands: readonly Hand[]
  others: readonly OtherDay[]
  /** the air each piece is expected to stand in */
  airOf: (journey: Journey) => Air
  learned: Learned
  /** how many loose parts may lie to dry at one time; null where there is room enough */
  places: number | null
  pins: readonly Pin[]
}
export interface Workshop {
  problem: WorkshopProblem
  /** by step of the problem */
  places: readonly Place[]
  /** by piece of the problem */
  journeys: readonly Journey[]
  hands: readonly Hand[]
  /** minute 0 of the problem */
  startMs: number
  /** steps that can't be told a day, for what they wait on stands still in this air */
  stuck: readonly Place[]
  /** who is at work now until which minute, on what */
  running: readonly { place: Place; hand: number; until: number }[]
}
