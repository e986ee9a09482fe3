'use client'
/**
 * The window line: the time after a step as one stroke of the brush. Shut is hatched, open swells empty, best is full,
 * closing tapers, gone is broken; the plumb line is now. Told apart by form as well as tone.
 */
import { useId } from 'react'
import type { Phase, Segment } from '@/core/drying/phase'
import { useNow } from '@/ui/time/now'

export interface Scale {
  fromMs: number
  toMs: number
}

const width = 1000
const middle = 24
const full = 15
const thin = 4

function Stroke({ phase, from, to, id, first }: { phase: Phase; from: number; to: number; id: string; first: boolean }) {
  const span = to - from
  if (span <= 0) return null
  const upper = middle - full
  const lower = middle + full
  if (phase === 'shut')
    return (
      <path
        d={`M${from} ${middle - thin}H${to}V${middle + thin}H${from}Z`}
        fill={`url(#${id}-shut)`}
        stroke="var(--ink)"
        strokeWidth="1.4"
        vectorEffect="non-scaling-stroke"
      />
    )
  if (phase === 'open')
    return (
      <path
        d={`M${from} ${middle - thin}C${from + span * 0.5} ${middle - thin} ${to - span * 0.4} ${upper} ${to} ${upper}V${lower}C${to - span * 0.4} ${lower} ${from + span * 0.5} ${middle + thin} ${from} ${middle + thin}Z`}
        fill="var(--sheet)"
        stroke="var(--now)"
        strokeWidth="2.5"
        vectorEffect="non-scaling-stroke"
      />
    )
  if (phase === 'best') {
    const nose = first ? Math.min(span * 0.2, 40) : 0
    return (
      <path
        d={`M${from} ${middle}C${from + nose * 0.4} ${upper} ${from + nose} ${upper} ${from + nose} ${upper}H${to}V${lower}H${from + nose}C${from + nose} ${lower} ${from + nose * 0.4} ${lower} ${from} ${middle}Z`}
        fill="var(--now)"
      />
    )
  }
  if (phase === 'closing')
    return (
      <path
        d={`M${from - 1} ${upper}H${from}C${from + span * 0.5} ${upper} ${to - span * 0.3} ${middle - 2} ${to} ${middle}C${to - span * 0.3} ${middle + 2} ${from + span * 0.5} ${lower} ${from} ${lower}H${from - 1}Z`}
        fill="var(--now)"
      />
    )
  return (
    <path
      d={`M${from + 6} ${middle}H${to}`}
      stroke="var(--late)"
      strokeWidth="5"
      strokeDasharray="16 11"
      vectorEffect="non-scaling-stroke"
      fill="none"
    />
  )
}

/** The drawing alone, on a scale of its own or a shared one; the words stand beside it. */
export function WindowLine({
  segments,
  scale,
  words,
  className,
  plumb = true,
}: {
  segments: readonly Segment[]
  scale: Scale
  words: string
  className?: string
  plumb?: boolean
}) {
  const id = useId().replace(/[^a-zA-Z0-9]/g, '')
  const nowMs = useNow()
  const x = (ms: number) => Math.min(width, Math.max(0, ((ms - scale.fromMs) / (scale.toMs - scale.fromMs)) * width))
  const at = x(nowMs)
  return (
    <svg viewBox={`0 0 ${width} 48`} preserveAspectRatio="none" className={className} role="img" aria-label={words}>
      <defs>
        <pattern id={`${id}-shut`} width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(50)">
          <rect width="4" height="9" fill="var(--ink)" />
        </pattern>
      </defs>
      {segments.map(({ phase, fromMs, toMs }, k) => (
        <Stroke
          key={phase}
          phase={phase}
          from={x(fromMs)}
          to={x(Math.min(toMs, scale.toMs))}
          id={id}
          first={segments[k - 1]?.phase !== 'open'}
        />
      ))}
      {plumb && (
        <>
          <path d={`M${at} 0V48`} stroke="var(--ink)" strokeWidth="3" vectorEffect="non-scaling-stroke" />
          <circle
            cx={at}
            cy={middle}
            r="0.01"
            stroke="var(--ink)"
            strokeWidth="9"
            strokeLinecap="round"
            vectorEffect="non-scaling-stroke"
          />
        </>
      )}
    </svg>
  )
}

/** A scale that holds a window with room before now and after its last mark. */
export function scaleFor(segments: readonly Segment[], nowMs: number): Scale {
  const marks = segments.flatMap(({ fromMs, toMs }) => [fromMs, toMs]).filter(Number.isFinite)
  const first = Math.min(nowMs, ...marks)
  const last = Math.max(nowMs, ...marks)
  const room = Math.max((last - first) * 0.18, 600_000)
  return { fromMs: first, toMs: last + room }
}
