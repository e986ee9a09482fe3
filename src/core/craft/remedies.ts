/** What goes wrong, and the way back: each mistake with its cause, and the steps that mend it. */
import { colourRemedies } from '@/core/craft/remedies/colour'
import { effectRemedies } from '@/core/craft/remedies/effect'
import type { Remedy } from '@/core/craft/remedies/remedy'
import { sealingRemedies } from '@/core/craft/remedies/sealing'

export const remedies = { ...colourRemedies, ...effectRemedies, ...sealingRemedies } as const satisfies Record<string, Remedy>

export type RemedyCode = keyof typeof remedies
export const remedyCodes = Object.keys(remedies) as RemedyCode[]
export function getRemedy(code: RemedyCode): Remedy {
  return remedies[code]
}
