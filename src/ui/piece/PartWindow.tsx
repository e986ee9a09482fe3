'use client'
/** A part's window line with its words, and where the figures come from when asked. */
import type { WindowView } from '@/core/bench/stepCard'
import { phaseAt } from '@/core/drying/phase'
import { scaleFor, WindowLine } from '@/ui/drawing/WindowLine'
import { useHouse } from '@/ui/form/house'
import { useNow } from '@/ui/time/now'
import { pastWords } from '@/words/craft'
import { windowWords } from '@/words/window'

export function PartWindow({ window }: { window: WindowView | null }) {
  const nowMs = useNow()
  const house = useHouse()
  if (!window) return null
  const gone = phaseAt(window.segments, nowMs) === 'gone'
  const words = windowWords(window, house, nowMs)
  return (
    <div className="mb-4">
      <WindowLine segments={window.segments} scale={scaleFor(window.segments, nowMs)} words={words} className="h-9 w-full" />
      <p className={`font-semibold ${gone ? 'text-late' : ''}`}>
        {words}
        {gone && window.past ? `. ${pastWords[window.past]}` : ''}
      </p>
    </div>
  )
}
