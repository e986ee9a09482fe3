/** Steps of several parts that are worked in one go. Pure. */
import type { PlannedStep } from '@/core/finish/step'
import type { PartId } from '@/core/measure/named'
import type { TimedPart } from './lane'
import { alike, type Slotted } from './timeline'

/** Alike steps of several parts worked in one go: one set-up, one mix, one clean-up. */
export interface SharedWork {
  step: PlannedStep
  partIds: PartId[]
  savedMinutes: number
}

/** What the slots of a timeline share, in the order it is worked. */
export function listShared(slots: readonly Slotted[], parts: readonly TimedPart[]): SharedWork[] {
  const shared: SharedWork[] = []
  slots.forEach(({ partId, index, saved }, k) => {
    const step = parts.find(({ id }) => id === partId)?.steps[index]
    const before = slots[k - 1]
    if (saved === 0 || !step || !before) return
    const group = shared.at(-1)
    // a third alike step joins the two before it
    if (group && (slots[k - 1]?.saved ?? 0) > 0 && alike(group.step, step)) {
      group.partIds.push(partId)
      group.savedMinutes += saved
    } else shared.push({ step, partIds: [before.partId, partId], savedMinutes: saved })
  })
  return shared
}
