'use client'
/** For a coat that was ended but not written down. */
import { useCoatSheet } from '../bench/CoatSheet'
import type { StepCard } from '../bench/stepCard'

export function LogCoatButton({ card, endedAt }: { card: StepCard; endedAt: string }) {
  const show = useCoatSheet()
  return (
    <button type="button" className="press" onClick={() => show(card, endedAt)}>
      What went on?
    </button>
  )
}
