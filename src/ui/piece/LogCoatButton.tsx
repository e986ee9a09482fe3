'use client'
/** For a coat that was ended but not written down. */
import type { StepCard } from '@/core/bench/stepCard'
import type { Instant } from '@/core/measure/named'
import { useDoneSheet } from '@/ui/bench/DoneSheet'

export function LogCoatButton({ card, endedAt }: { card: StepCard; endedAt: Instant }) {
  const show = useDoneSheet()
  return (
    <button type="button" className="press" onClick={() => show(card, endedAt, 'coat')}>
      What went on?
    </button>
  )
}
