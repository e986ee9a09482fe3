/** The words beside a window line: when it opens, how long it still is. */
import { type Phase, phaseAt, type Segment } from '@/core/drying/phase'
import type { Instant } from '@/core/measure/named'
import { momentWords, spanFigure, spanWords, type Wall } from './time'

interface Times {
  segments: readonly Segment[]
  opens: Instant | null
  closes: Instant | null
}
const minutesTo = (instant: Instant, nowMs: number) => (Date.parse(instant) - nowMs) / 60_000

/** "opens 14:20", "closes in 38 min", "closed 20 min ago". */
export function windowWords({ segments, opens, closes }: Times, wall: Wall, nowMs: number): string {
  const phase: Phase = phaseAt(segments, nowMs)
  if (phase === 'shut' || phase === 'open') {
    if (opens === null) return 'stands still: too cold to dry'
    return `${phase === 'open' ? 'test it; safe from' : 'opens'} ${momentWords(opens, wall, nowMs)}`
  }
  if (phase === 'gone' && closes) return `closed ${spanWords(-minutesTo(closes, nowMs))} ago`
  return closes ? `closes in ${spanWords(minutesTo(closes, nowMs))}, ${momentWords(closes, wall, nowMs)}` : 'open, no hurry'
}

/** The one figure to read from two metres. */
export function windowFigure(
  { segments, opens, closes }: Times,
  nowMs: number,
): { figure: string; unit: string; late: boolean } | null {
  const phase = phaseAt(segments, nowMs)
  if (phase === 'shut' && opens) return { ...spanFigure(minutesTo(opens, nowMs)), late: false }
  if (phase === 'gone' && closes) return { ...spanFigure(-minutesTo(closes, nowMs)), late: true }
  if (closes) return { ...spanFigure(minutesTo(closes, nowMs)), late: false }
  return null
}
