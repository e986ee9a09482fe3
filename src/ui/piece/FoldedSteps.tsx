'use client'
/** What is behind a part, folded away; a coat that was ended and not written down can be written down there. */
import { useState } from 'react'
import type { StepCard } from '@/core/bench/stepCard'
import type { Instant } from '@/core/measure/named'
import { useDoneSheet } from '@/ui/bench/DoneSheet'

export interface StepBehind {
  words: string
  /** minutes and when, or that it was left out */
  took: string
  /** where nobody said what went on */
  asked?: { card: StepCard; endedAt: Instant }
}
export function FoldedSteps({ steps }: { steps: readonly StepBehind[] }) {
  const [open, setOpen] = useState(false)
  const show = useDoneSheet()
  return (
    <details className="mt-4" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="inline-flex min-h-12 cursor-pointer items-center font-semibold underline">
        {steps.length === 1 ? 'One step behind it' : `${steps.length} steps behind it`}
      </summary>
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
