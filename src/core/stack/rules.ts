/**
 * What gets on with what: each rule once, as data with a predicate, a severity and the steps that mend it. A rule looks at
 * one act and the surface it meets, or at the surface when all is done. Source: the craft; `practice` where that is silent.
 */
import { colourRules } from '@/core/stack/rules/colour'
import { endingRules } from '@/core/stack/rules/endings'
import { preparationRules } from '@/core/stack/rules/preparation'
import { sealingRules } from '@/core/stack/rules/sealing'

export type {
  StackEnding as Ending,
  EndingRule,
  Intent,
  Meeting,
  MeetingRule,
  RemedyStep as Remedy,
  ConflictSeverity as Severity,
} from '@/core/stack/rules/rule'
export { endingRules }
export const meetingRules = { ...preparationRules, ...colourRules, ...sealingRules } as const

export type ConflictCode =
  keyof typeof meetingRules | keyof typeof endingRules | 'too-early' | 'window-missed' | 'used-before-cure'
