/**
 * Whether a part may hold lead: the one question, and its one answer. It is never assumed absent: what nobody looked at counts
 * as what it may be. Source: the craft, sections on finding out and on harm.
 */
import type { ExistingFinishCode } from './parts'

export const leadFindings = {
  unknown: 'not known',
  clear: 'tested, no lead',
  unlikely: 'finish surely younger than 1980',
  suspected: 'painted before about 1980, or age unknown',
  found: 'lead found',
} as const
export type LeadFinding = keyof typeof leadFindings

/** Nothing old enough can be on these; polish and oil may lie over a varnish that is. */
const neverHolds = new Set<ExistingFinishCode>(['bare', 'fresh-oil'])

/** Whether work on it must treat it as lead: found, or possible and not ruled out. */
export const mayHoldLead = ({ lead, existing }: { lead: LeadFinding; existing: ExistingFinishCode }): boolean =>
  lead === 'found' || ((lead === 'suspected' || lead === 'unknown') && !neverHolds.has(existing))
