/** Why a set can't be parted so, and where it is said in its form. */
import type { PartId } from '@/core/measure/named'
import type { SplitFault, SplitFaultCode } from '@/core/piece/split'

export const splitFaultWords: Record<SplitFaultCode, string> = {
  'nothing-leaves': 'Say how many leave.',
  'too-many': 'There are not so many.',
  'nothing-stays': 'Something must stay: where all of it leaves there is nothing to split.',
}

/** By the field's name; `leaving` is the form's own order. */
export function splitFaultFields({ code, partId }: SplitFault, leaving: readonly { partId: PartId }[]): Record<string, string> {
  const k = leaving.findIndex((each) => each.partId === partId)
  return { [k < 0 ? 'leaving' : `leaving.${k}.count`]: splitFaultWords[code] }
}
