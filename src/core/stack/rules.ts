/**
 * What gets on with what: each rule once, as data with a predicate, a severity and the steps that mend it. A rule looks at
 * one act and the surface it meets, or at the surface when all is done. Source: the craft; `practice` where that is silent.
 */
import { abrasionRules } from '@/core/stack/rules/abrasion'
import { colourRules } from '@/core/stack/rules/colour'
import { effectRules } from '@/core/stack/rules/effects'
import { endingRules } from '@/core/stack/rules/endings'
import { materialRules } from '@/core/stack/rules/materials'
import { preparationRules } from '@/core/stack/rules/preparation'
import { sealingRules } from '@/core/stack/rules/sealing'
import { softRules } from '@/core/stack/rules/soft'
import { wearRules } from '@/core/stack/rules/wear'

export type {
  EndingRule,
  Intent,
  Meeting,
  MeetingRule,
  RemedyStep as Remedy,
  ConflictSeverity as Severity,
  StackEnding,
} from '@/core/stack/rules/rule'
export { endingRules }
export const meetingRules = {
  ...preparationRules,
  ...abrasionRules,
  ...materialRules,
  ...softRules,
  ...colourRules,
  ...effectRules,
  ...wearRules,
  ...sealingRules,
} as const

export type ConflictCode =
  keyof typeof meetingRules | keyof typeof endingRules | 'too-early' | 'window-missed' | 'used-before-cure'
