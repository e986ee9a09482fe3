/** The week's problem as the studio sees it: which step of which piece each of its steps is, what is held to, what it is made from. Pure types. */
import type { AirAhead } from '@/core/climate/airAhead'
import type { Learned } from '@/core/learn/learned'
import type { Pace } from '@/core/learn/pace'
import type { PartId, PersonId, PieceId, StepId } from '@/core/measure/named'
import type { Journey } from '@/core/piece/journey'
import type { PlanStep } from '@/core/piece/piece'
import type { WorkshopProblem } from '@/core/schedule/problem'
import type { Hand, OtherDay } from './hands'
import type { Places } from './roomPlaces'

/** A step of the week: what it is, and where. */
export interface Place {
  pieceId: PieceId
  /** null where a piece of several parts is only put together and looked over */
  partId: PartId | null
  step: PlanStep | null
  side?: 1 | 2 | undefined
  /** what it was reckoned by; null where nothing was */
  figures: LineFigures | null
}
/** What a step of the week was reckoned by: kept with the plan, so that it can be told why it stands there. */
export interface LineFigures {
  /** as it takes here, without what is shared with the step before; as it is planned; how often it was seen */
  minutes: number
  planned: number
  seen: number
  /** minutes after it until the next may begin, and must; null where it need not wait, or may wait for ever */
  opens: number | null
  closes: number | null
  /** the air expected when it ends */
  temperature: number
  humidity: number
}
/** A step of the week by its name, of two sides the one. */
export const lineKey = (stepId: StepId | PieceId, side: 1 | 2 | null | undefined): string => `${stepId} ${side ?? ''}`
/** What the painter holds to: when a step begins, or who works it. */
export interface Pin {
  stepId: StepId
  side: 1 | 2 | null
  at: number | null
  personId: PersonId | null
}
export interface WeekAround extends Places {
  nowMs: number
  zone: string
  hands: readonly Hand[]
  others: readonly OtherDay[]
  /** the air each piece is expected to stand in */
  airOf: (journey: Journey) => AirAhead
  learned: Learned
  pace: Pace
  /** when steps end as they were planned last, ms by {@link lineKey}: what dries after them is reckoned from then */
  ends: ReadonlyMap<string, number>
  pins: readonly Pin[]
}
export interface Workshop {
  problem: WorkshopProblem
  /** by step of the problem */
  places: readonly Place[]
  /** by piece of the problem; and the minute by which it is promised, which is later than it is due in the problem; infinite where it isn't */
  journeys: readonly Journey[]
  promised: readonly number[]
  hands: readonly Hand[]
  /** minute 0 of the problem */
  startMs: number
  /** steps that can't be told a day, for what they wait on stands still in this air */
  stuck: readonly Place[]
  /** who is at work now until which minute, on what */
  running: readonly { place: Place; hand: number; until: number }[]
  /** how far the minutes of each step scatter about their middle: in logarithms */
  scatter: number[]
}
