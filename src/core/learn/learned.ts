/**
 * The studio's own drying figures in place of the label's, family by family, each taken up on purpose. Pure.
 * What opens is pushed to the careful factor, what closes is never pushed later than the label.
 */
import type { FamilyCode } from '@/core/craft/families'
import { asLabelled, type LabelledTin, labelOf, type LaidOf } from '@/core/craft/label'
import type { StepWindow } from '@/core/craft/windows'

export interface DryingFactor {
  p50: number
  p80: number
  count: number
}
export type Learned = Partial<Record<FamilyCode, DryingFactor>> & {
  /** tins whose label says otherwise than their family */
  labels?: readonly LabelledTin[] | undefined
}

/** A window as this studio has seen it, else as the tin's own label says; as the family has it where nobody knows better. */
export function asLearned(window: StepWindow, laid: LaidOf, learned: Learned): StepWindow {
  const { family } = laid
  const factor = family === null ? undefined : learned[family]
  if (!factor && family !== null && learned.labels) {
    const label = labelOf(learned.labels, laid)
    if (label) return asLabelled(window, family, label)
  }
  if (!factor || window.opens[1] === 0) return window
  const { opens, closes } = window
  const sooner = Math.min(1, factor.p50)
  return {
    ...window,
    opens: [opens[0] * factor.p50, opens[1] * factor.p80],
    closes: closes && [closes[0] * sooner, closes[1] * sooner],
    source: 'studio',
  }
}
