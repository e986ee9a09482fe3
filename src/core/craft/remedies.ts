/** What goes wrong, and the way back: each mistake with its cause, and the steps that mend it. */
import { getOperation, type OperationCode } from '@/core/craft/operations'
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

interface Doing {
  operation: OperationCode
  where?: { places?: readonly unknown[] | undefined; share?: number | undefined } | null | undefined
}
/** Whether a mistake can show on a part where this was done and that is still to come. */
export function canShow(code: RemedyCode, done: readonly Doing[], ahead: readonly Doing[] = []): boolean {
  const { after, over, under, until, ahead: before, uncovered }: Remedy = getRemedy(code)
  const among = (asked: readonly OperationCode[] | undefined, acts: readonly Doing[]) =>
    !asked || acts.some(({ operation }) => asked.includes(operation))
  const since = (at: number) => done.slice(Math.max(0, at))
  const laid = done.findLastIndex(({ operation }) => getOperation(operation).layer !== undefined)
  const gone = done.findLastIndex(
    ({ operation, where }) => until?.includes(operation) && !where?.places && (where?.share ?? 1) >= 1,
  )
  const shown = since(Math.max(gone, uncovered ? laid : 0))
  const first = shown.findIndex(({ operation }) => after?.includes(operation))
  const below = done.slice(0, done.length - shown.length + first)
  return among(after, shown) && among(over, below) && among(under, shown.slice(first + 1)) && among(before, ahead)
}
