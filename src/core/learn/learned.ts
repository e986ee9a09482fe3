/**
 * The studio's own drying figures in place of the label's, family by family, each taken up on purpose. Pure.
 * What opens is pushed to the careful factor, what closes is never pushed later than the label.
 */
import type { FamilyCode } from '@/core/craft/families'
import type { StepWindow } from '@/core/craft/windows'

export interface DryingFactor {
  p50: number
  p80: number
  count: number
}
export type Learned = Partial<Record<FamilyCode, DryingFactor>>

/** A label's window as this studio has seen it; unchanged where it has learned nothing. */
export function asLearned(window: StepWindow, family: FamilyCode | null, learned: Learned): StepWindow {
  const factor = family === null ? undefined : learned[family]
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
