'use client'
/** The way of a piece from door to door, drawn. */
import type { Journey } from '@/core/piece/journey'

const journeyMarks = ['just-in', 'under-way', 'resting', 'ready', 'listed', 'ended'] as const

/** The way from door to door, with the piece on it. */
export function StageLine({ stage }: { stage: Journey['stage'] }) {
  const at = journeyMarks.indexOf(stage)
  return (
    <svg viewBox="0 0 120 14" className="h-3.5 w-32" aria-hidden>
      <path d={`M4 7H${4 + at * 22.4}`} stroke="var(--ink)" strokeWidth="3" />
      <path d={`M${4 + at * 22.4} 7H116`} stroke="var(--soft)" strokeWidth="1.5" strokeDasharray="2 3" />
      {journeyMarks.map((mark, k) => (
        <circle
          key={mark}
          cx={4 + k * 22.4}
          cy="7"
          r={k === at ? 5.5 : 2.5}
          fill={k === at ? 'var(--now)' : k < at ? 'var(--ink)' : 'var(--ground)'}
          stroke="var(--ink)"
          strokeWidth="1"
        />
      ))}
    </svg>
  )
}
