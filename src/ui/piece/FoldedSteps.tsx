'use client'
/** What is behind a part, folded away; a coat that was ended and not written down can be written down there. */
import type { StepCard } from '@/core/bench/stepCard'
import type { Instant } from '@/core/measure/named'
import { useDoneSheet } from '@/ui/bench/DoneSheet'
import { useUnfolded } from '@/ui/frame/useUnfolded'

export interface StepBehind {
  words: string
  /** minutes and when, or that it was left out */
  took: string
  /** where nobody said what went on */
  asked?: { card: StepCard; endedAt: Instant }
}
export function FoldedSteps({ steps }: { steps: readonly StepBehind[] }) {
  const { open, unfolding } = useUnfolded()
  const show = useDoneSheet()
  return (
    <details className="mt-4" {...unfolding}>
      <summary className="tap underline">{steps.length === 1 ? 'One step behind it' : `${steps.length} steps behind it`}</summary>
      {open && (
        <ol>
          {steps.map(({ words, took, asked }, k) => (
            <li key={k} className="flex min-h-12 flex-wrap items-center justify-between gap-x-4 border-b border-line">
              <span>{words}</span>
              <span className="flex items-center gap-3 text-soft">
                {took}
                {asked && (
                  <button type="button" className="press" onClick={() => show(asked.card, asked.endedAt, 'coat')}>
                    What went on?
                  </button>
                )}
              </span>
            </li>
          ))}
        </ol>
      )}
    </details>
  )
}
