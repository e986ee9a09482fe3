/**
 * Where a moment stands in a drying window: the words and forms of the window line. Instants in ms since 1970; pure.
 */
import type { Instant } from '@/core/measure/named'
import type { DryingWindow } from './windowFor'

/** `shut`: too wet. `open`: may do, test it. `best`: safe. `closing`: the last quarter. `gone`: too late. */
export type Phase = 'shut' | 'open' | 'best' | 'closing' | 'gone'

export interface Segment {
  phase: Phase
  fromMs: number
  /** Infinity for a phase that never ends */
  toMs: number
}

/** The share of the safe time that counts as closing. */
const closingShare = 0.25

const ms = (instant: Instant | null) => (instant === null ? Infinity : Date.parse(instant))

/** The phases of a window in order, from the end of the step before; empty phases are left out. */
export function phasesOf(window: DryingWindow, endedAtMs: number): Segment[] {
  const opens = ms(window.opens)
  const mayOpen = Math.min(ms(window.mayOpen), opens)
  const closes = ms(window.closes)
  const shutUntil = Math.min(mayOpen, closes)
  const openUntil = Math.min(opens, closes)
  const closingFrom = closes === Infinity ? Infinity : Math.max(openUntil, closes - (closes - opens) * closingShare)
  const marks: [Phase, number, number][] = [
    ['shut', endedAtMs, shutUntil],
    ['open', shutUntil, openUntil],
    ['best', openUntil, closingFrom],
    ['closing', closingFrom, closes],
    ['gone', closes, Infinity],
  ]
  return marks.filter(([, from, to]) => to > from && from !== Infinity).map(([phase, fromMs, toMs]) => ({ phase, fromMs, toMs }))
}

/** Which side of its window a step is begun on; null within it, and where nothing holds it. */
export function outsideOf(segments: readonly Segment[], nowMs: number): 'early' | 'late' | null {
  if (segments.length === 0) return null
  const phase = phaseAt(segments, nowMs)
  return phase === 'shut' ? 'early' : phase === 'gone' ? 'late' : null
}

/** The phase at `nowMs`; a moment before the window's start counts as `shut`. */
export function phaseAt(segments: readonly Segment[], nowMs: number): Phase {
  return segments.findLast(({ fromMs }) => fromMs <= nowMs)?.phase ?? 'shut'
}
