'use client'
/** What is ahead of a part, each step with what it takes and, unfolded, why it is there. */
import type { StepId } from '@/core/measure/named'

interface StepAhead {
  id: StepId
  words: string
  /** how much and how long */
  takes: string
  /** with what, and why */
  why: string
}
export const AheadSteps = ({ steps }: { steps: readonly StepAhead[] }) => (
  <ol className="mt-5 border-t border-line">
    {steps.map(({ id, words, takes, why }) => (
      <li key={id} className="border-b border-line py-1">
        <details>
          <summary className="flex min-h-12 cursor-pointer flex-wrap items-center justify-between gap-x-4">
            <span className="font-semibold">{words}</span>
            <span className="text-soft">{takes}</span>
          </summary>
          <p className="max-w-prose pb-3 text-soft">{why}</p>
        </details>
      </li>
    ))}
  </ol>
)
