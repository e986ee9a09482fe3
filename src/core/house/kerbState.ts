/** How a piece at the kerb stands, as far as it can be seen there. Pure tables. */
import type { Counted } from '@/core/craft/job'

export const kerbStates = { sound: 'sound', loose: 'loose joints', broken: 'joints and holes to mend' } as const
export type KerbState = keyof typeof kerbStates
/** What there is to mend beside what the article has. */
export const toMend: Record<KerbState, Counted> = { sound: {}, loose: { joints: 3 }, broken: { joints: 5, holes: 8 } }
