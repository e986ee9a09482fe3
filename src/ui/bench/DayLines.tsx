'use client'
/** Every window line of the workshop on one scale, with one plumb line through them all. */
import { useState } from 'react'
import type { WindowView } from '@/core/bench/stepCard'
import { phaseAt } from '@/core/drying/phase'
import { WindowLine } from '@/ui/drawing/WindowLine'
import { useHouse } from '@/ui/form/house'
import { later } from '@/ui/frame/later'
import { Link } from '@/ui/frame/Link'
import { useNow } from '@/ui/time/now'
import { clockTime } from '@/words/time'
import { windowWords } from '@/words/window'
import type { FeelOn } from './FeelRow'

const FeelRow = later(async () => (await import('./FeelRow')).FeelRow)

export interface DayLine {
  key: string
  href: string
  name: string
  next: string
  window: WindowView
  feel: FeelOn
}

const hourMs = 3_600_000

/** An hour whose words would run into the present one's is not written; on a phone hours lie closer. */
const besideNow = (hours: number) => (hours < 1.3 ? 'invisible' : hours < 2.3 ? 'invisible sm:visible' : '')

export function DayLines({ lines }: { lines: readonly DayLine[] }) {
  const nowMs = useNow()
  const house = useHouse()
  const scale = { fromMs: nowMs - 3 * hourMs, toMs: nowMs + 15 * hourMs }
  const hours = Array.from({ length: 7 }, (_, k) => Math.ceil(scale.fromMs / hourMs) * hourMs + k * 3 * hourMs).filter(
    (at) => at > scale.fromMs + 0.6 * hourMs && at < scale.toMs - 0.6 * hourMs,
  )
  const left = (at: number) => `${((at - scale.fromMs) / (scale.toMs - scale.fromMs)) * 100}%`
  return (
    <div className="relative">
      <div aria-hidden className="relative h-6 border-b-2 border-ink text-sm text-soft">
        {hours.map((at) => (
          <span
            key={at}
            className={`absolute bottom-0 -translate-x-1/2 ${besideNow(Math.abs(at - nowMs) / hourMs)}`}
            style={{ left: left(at) }}
          >
            {clockTime(new Date(at).toISOString(), house)}
          </span>
        ))}
        <span className="absolute bottom-0 -translate-x-1/2 bg-ink px-2 font-semibold text-ground" style={{ left: left(nowMs) }}>
          {clockTime(new Date(nowMs).toISOString(), house)}
        </span>
      </div>
      <div
        aria-hidden
        className="pointer-events-none absolute bottom-0 top-6 w-[2px] -translate-x-1/2 bg-ink"
        style={{ left: left(nowMs) }}
      />
      <ul>
        {lines.map((line) => (
          <Line key={line.key} line={line} scale={scale} />
        ))}
      </ul>
    </div>
  )
}

function Line({ line: { href, name, next, window, feel }, scale }: { line: DayLine; scale: { fromMs: number; toMs: number } }) {
  const nowMs = useNow()
  const house = useHouse()
  const [feeling, setFeeling] = useState(false)
  const phase = phaseAt(window.segments, nowMs)
  const words = windowWords(window, house, nowMs)
  return (
    <li className="border-b border-line">
      <div className="flex items-start gap-3">
        <Link href={href} className="relative z-10 min-w-0 flex-1 py-2 no-underline">
          <span className="bg-ground pr-2">
            <span className="font-semibold">{name}</span> <span className="text-soft">then {next}</span>
          </span>{' '}
          <span
            className={`bg-ground font-semibold whitespace-nowrap ${phase === 'gone' ? 'text-late' : phase === 'shut' ? '' : 'text-now'}`}
          >
            {words}
          </span>
        </Link>
        <button
          type="button"
          className="press relative z-10 mt-1.5 px-3"
          aria-expanded={feeling}
          aria-label={`Feel it: ${name}`}
          onClick={() => setFeeling(!feeling)}
        >
          Feel it
        </button>
      </div>
      <WindowLine segments={window.segments} scale={scale} words={words} plumb={false} className="h-8 w-full" />
      {feeling && <FeelRow on={feel} window={window} />}
    </li>
  )
}
