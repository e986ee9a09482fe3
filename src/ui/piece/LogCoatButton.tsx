'use client'
/** For a coat that was ended but not written down. */
import { useDoneSheet } from '@/ui/bench/DoneSheet'
import type { StepCard } from '@/core/bench/stepCard'

export function LogCoatButton({ card, endedAt }: { card: StepCard; endedAt: string }) {
  const show = useDoneSheet()
  return (
    <button type="button" className="press" onClick={() => show(card, endedAt, 'coat')}>
      What went on?
    </button>
  )
}
