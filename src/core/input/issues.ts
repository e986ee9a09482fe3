/** What can go wrong with a write, by code; each has its sentence among the words. */
export const issueCodes = [
  'already-answered',
  'already-billed',
  'already-corrected',
  'already-ended',
  'belongs-elsewhere',
  'busy',
  'elsewhere',
  'id-taken',
  'last-owner',
  'leaves-unfinished',
  'not-believable',
  'not-found',
  'not-readable',
  'not-storable',
  'not-whole',
  'not-yours',
  'offer-over',
  'over-invoice',
  'service-silent',
  'signed-out',
  'still-running',
  'unreachable',
] as const
export type IssueCode = (typeof issueCodes)[number]

/** What every write answers: stored, or an issue with what was wrong with which field. */
export type Answer = { ok: true } | { issue: IssueCode; fields?: Record<string, string> }
