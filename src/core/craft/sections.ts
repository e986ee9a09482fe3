/** Work done a section at a time, before it sets. Source: the craft's windows; the careful end of each. */
import type { OperationCode } from './operations'

/** Seconds that one section has for being wiped, lifted, pulled, laid down or blended. */
const seconds: Partial<Record<OperationCode, number>> = {
  wash: 2 * 60,
  glaze: 10 * 60,
  'pull-tape': 10 * 60,
  'knock-down': 20 * 60,
  'wipe-oil': 10 * 60,
  'tinted-wax': 10 * 60,
}

/** Seconds a section has; null where the work can wait for itself. */
export const sectionSecondsOf = (operation: OperationCode): number | null => seconds[operation] ?? null
