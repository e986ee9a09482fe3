/** What a stack rule is, and what it is asked with. Types only. */
import type { Cover } from '@/core/craft/colour'
import type { FamilyCode } from '@/core/craft/families'
import type { Look } from '@/core/craft/looks'
import type { HouseMethod } from '@/core/craft/method'
import type { OperationCode } from '@/core/craft/operations'
import type { Slot } from '@/core/craft/recipe'
import type { TopcoatCode } from '@/core/craft/topcoats'
import type { FinishablePart, FinishWish } from '@/core/finish/planFinish'
import type { Act, SurfaceState } from '@/core/stack/surface'

/** `stop`: it will fail. `caution`: it may, or costs more. `advice`: it will look other than hoped. */
export type ConflictSeverity = 'stop' | 'caution' | 'advice'
export interface RemedyStep {
  operation: OperationCode
  family?: FamilyCode
}

/** What the stack is meant to be, beside the part itself. */
export interface Intent {
  part: FinishablePart
  wish: FinishWish
  looks: readonly Look[]
  method: HouseMethod
  seal: TopcoatCode
  cover: Partial<Record<Slot, Cover>>
}
export interface Meeting extends Intent {
  act: Act
  index: number
  /** the surface that the act meets */
  on: SurfaceState
  acts: readonly Act[]
}
export interface StackEnding extends Intent {
  acts: readonly Act[]
  /** the surface when all is done */
  on: SurfaceState
}

interface Common {
  severity: ConflictSeverity
  remedies: readonly RemedyStep[]
  source?: 'practice'
}
/** Asked of every act, on the surface it meets. */
export interface MeetingRule extends Common {
  meets: (meeting: Meeting) => boolean
}
/** Asked once, of the whole stack. */
export interface EndingRule extends Common {
  ends: (ending: StackEnding) => boolean
}
