/** What a stack rule is, and what it is asked with. Types only. */
import type { HouseMethod } from '@/core/craft/method'
import type { RemedyStep as Step } from '@/core/craft/preparation'
import type { TopcoatCode } from '@/core/craft/topcoats'
import type { CoverByTouch } from '@/core/finish/lines'
import type { LookTouch, Place } from '@/core/finish/touch'
import type { Aims } from '@/core/finish/touches'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import type { Act, SurfaceState } from '@/core/stack/surface'

/** A step that mends; where it was wrong, unless it belongs to some places alone. */
export type RemedyStep = Step & { in?: readonly Place[] }

/** `stop`: it will fail. `caution`: it may, or costs more. `advice`: it will look other than hoped. */
export type ConflictSeverity = 'stop' | 'caution' | 'advice'

/** What the stack is meant to be, beside the part itself. */
export interface Intent {
  part: FinishablePart
  wish: FinishWish
  /** what is asked for in the order of work, the topcoat among it */
  touches: readonly LookTouch[]
  aims: Aims
  method: HouseMethod
  seal: TopcoatCode
  cover: CoverByTouch
}
export interface Meeting extends Intent {
  act: Act
  index: number
  /** the surface that the act meets */
  on: SurfaceState
  /** where on the part that surface is */
  in: readonly Place[]
  /** every surface that the act meets, there and elsewhere */
  met: readonly SurfaceState[]
  /** what is still to come after this act */
  ahead: () => readonly Act[]
}
export interface StackEnding extends Intent {
  acts: readonly Act[]
  /** the surface when all is done */
  on: SurfaceState
}

interface Common {
  severity: ConflictSeverity
  remedies: readonly RemedyStep[]
  /** the remedy stands in place of the act, or is its own business: it is told, and never put in of itself */
  instead?: true
  source?: 'practice'
}
/** Asked of every act, on the surface it meets. Its remedy goes before the act. */
export interface MeetingRule extends Common {
  meets: (meeting: Meeting) => boolean
  /** the remedy makes it better; nothing breaks without it */
  optional?: true
}
/** Asked once, of the whole stack. Its remedy goes at the end. */
export interface EndingRule extends Common {
  ends: (ending: StackEnding) => boolean
}
