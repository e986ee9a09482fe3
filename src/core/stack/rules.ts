/**
 * What gets on with what: each rule once, as data with a predicate, a severity and the steps that mend it. A rule looks at
 * one act and the surface it meets, or at the surface when all is done. Source: the craft; `practice` where that is silent.
 */
import { colourRules } from './rules/colour'
import { endingRules } from './rules/endings'
import { preparationRules } from './rules/preparation'
import { sealingRules } from './rules/sealing'

export type { Ending, EndingRule, Intent, Meeting, MeetingRule, Remedy, Severity } from './rules/rule'
export { endingRules }
export const meetingRules = { ...preparationRules, ...colourRules, ...sealingRules } as const

export type ConflictCode =
  keyof typeof meetingRules | keyof typeof endingRules | 'too-early' | 'window-missed' | 'used-before-cure'
