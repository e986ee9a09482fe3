/**
 * The work around the paint: what is counted when a piece comes in, and the steps that it asks for before its parts are painted
 * and after. Source: the craft, on the order of work and on the whole job.
 */
import { getOperation, type OperationCode } from './operations'

export const countCodes = ['fittings', 'newFittings', 'holes', 'joints', 'legs', 'feet', 'panes', 'drawers', 'tears'] as const
export type CountCode = (typeof countCodes)[number]
/** How many of each; what is not there is not counted. */
export type Counted = Readonly<Partial<Record<CountCode, number>>>

export const sides = ['before', 'after'] as const
/** Before the first part is painted, or after the last. */
export type Side = (typeof sides)[number]

interface JobRow {
  operation: OperationCode
  side: Side
  /** one for each of these, none where there are none; once unless given */
  per?: CountCode
  /** only where somebody waits for it */
  commission?: true
}

/** In the order of work. */
export const jobRows: readonly JobRow[] = [
  { operation: 'photograph', side: 'before' },
  { operation: 'take-apart', side: 'before', per: 'fittings' },
  { operation: 'clean-out', side: 'before', per: 'drawers' },
  { operation: 'glue', side: 'before', per: 'joints' },
  { operation: 'fill', side: 'before', per: 'holes' },
  { operation: 'cut-down', side: 'before', per: 'legs' },
  { operation: 'mask', side: 'before', per: 'panes' },
  { operation: 'turn-over', side: 'before', per: 'feet' },
  { operation: 'ease', side: 'after', per: 'drawers' },
  { operation: 'polish', side: 'after', per: 'fittings' },
  { operation: 'hardware', side: 'after', per: 'newFittings' },
  { operation: 'reassemble', side: 'after', per: 'fittings' },
  { operation: 'cover', side: 'after', per: 'tears' },
  { operation: 'pads', side: 'after', per: 'feet' },
  { operation: 'inspect', side: 'after' },
  { operation: 'photograph', side: 'after' },
  { operation: 'deliver', side: 'after', commission: true },
]

/** What a painter may put beside what was counted, and a step in their own words. */
export const jobOperations: readonly OperationCode[] = [
  'photograph',
  'take-apart',
  'clean-out',
  'glue',
  'repair',
  'fill',
  'cut-down',
  'mask',
  'upholster',
  'turn-over',
  'trial',
  'ease',
  'polish',
  'line',
  'hardware',
  'reassemble',
  'cover',
  'pads',
  'inspect',
  'deliver',
  'own',
]
/** The side on which an operation usually stands. */
export const usualSide = (code: OperationCode): Side =>
  jobRows.find(({ operation }) => operation === code)?.side ??
  (['intake', 'repair'].includes(getOperation(code).stage) ? 'before' : 'after')
