'use client'
/** When it really began and ended: two ends on the line from the start of the clock to now, by hand or by arrow keys. */
import { Slider } from 'radix-ui'
import { useState } from 'react'
import type { Instant } from '@/core/measure/named'
import { useHouse } from '@/ui/form/house'
import { clockTime, spanWords } from '@/words/time'

const minuteMs = 60_000

export function ClockEnds({
  startedAt,
  nowMs,
  finish,
}: {
  startedAt: Instant
  nowMs: number
  finish: (at: Instant, minutes: number) => void
}) {
  const house = useHouse()
  const startMs = Date.parse(startedAt)
  const span = Math.max(1, Math.round((nowMs - startMs) / minuteMs))
  const [ends, setEnds] = useState<readonly [number, number]>([0, span])
  const [from, to] = [Math.min(ends[0], span), Math.min(ends[1], span)]
  const at = (minutes: number) => new Date(startMs + minutes * minuteMs).toISOString()
  return (
    <div>
      <Slider.Root
        className="relative flex h-14 touch-none select-none items-center"
        min={0}
        max={span}
        step={1}
        value={[from, to]}
        onValueChange={([a = 0, b = span]) => setEnds([a, b])}
      >
        <Slider.Track className="relative h-3 grow rounded-sm bg-line">
          <Slider.Range className="absolute h-full bg-now" />
        </Slider.Track>
        <Slider.Thumb
          className="block h-12 w-6 rounded-sm border-2 border-ground bg-ink"
          aria-label="When it began"
          aria-valuetext={clockTime(at(from), house)}
        />
        <Slider.Thumb
          className="block h-12 w-6 rounded-sm border-2 border-ground bg-ink"
          aria-label="When it ended"
          aria-valuetext={clockTime(at(to), house)}
        />
      </Slider.Root>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <p className="text-lg">
          <span className="figure text-2xl">{spanWords(to - from)}</span>{' '}
          <span className="text-soft">
            {clockTime(at(from), house)} to {clockTime(at(to), house)}
          </span>
        </p>
        <button type="button" className="press" onClick={() => finish(at(to), to - from)}>
          It was so
        </button>
      </div>
    </div>
  )
}
