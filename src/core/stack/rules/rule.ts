/** What a stack rule is, and what it is asked with. Types only. */
import type { OperationCode } from '../../labour/operations'
import type { Cover } from '../../finish/colour'
import type { FamilyCode } from '../../finish/families'
import type { Look } from '../../finish/looks'
import type { HouseMethod } from '../../finish/method'
import type { FinishablePart, FinishWish } from '../../finish/planFinish'
import type { Slot } from '../../finish/recipe'
import type { SealCode } from '../../finish/seals'
import type { Act, Surface } from '../surface'

/** `stop`: it will fail. `caution`: it may, or costs more. `advice`: it will look other than hoped. */
export type Severity = 'stop' | 'caution' | 'advice'
export interface Remedy {
  operation: OperationCode
  family?: FamilyCode
}

/** What the stack is meant to be, beside the part itself. */
export interface Intent {
  part: FinishablePart
  wish: FinishWish
  looks: readonly Look[]
  method: HouseMethod
  seal: SealCode
  cover: Partial<Record<Slot, Cover>>
}
export interface Meeting extends Intent {
  act: Act
  index: number
  /** the surface that the act meets */
  on: Surface
  acts: readonly Act[]
}
export interface Ending extends Intent {
  acts: readonly Act[]
  /** the surface when all is done */
  on: Surface
}

interface Common {
  severity: Severity
  remedies: readonly Remedy[]
  source?: 'practice'
}
/** Asked of every act, on the surface it meets. */
export interface MeetingRule extends Common {
  meets: (meeting: Meeting) => boolean
}
/** Asked once, of the whole stack. */
export interface EndingRule extends Common {
  ends: (ending: Ending) => boolean
}
