/** Work that is done a section at a time, before it sets, in one step of its own. Source: the craft's windows; the careful end of each. */
import type { OperationCode } from './operations'

/** Seconds that a section has until it is wiped back, or lifted. */
const seconds = { wash: 2 * 60, glaze: 10 * 60 } as const satisfies Partial<Record<OperationCode, number>>
export type SectionWork = keyof typeof seconds

export const isSectionWork = (operation: OperationCode): operation is SectionWork => operation in seconds
export const sectionSecondsOf = (operation: SectionWork): number => seconds[operation]
