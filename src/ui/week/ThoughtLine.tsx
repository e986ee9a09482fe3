'use client'
/** What a change that is thought of would do: what moves, which promise breaks, what it costs; taken, or left. */
import type { OutlookLine, WeekOutlook } from '@/core/week/ask'
import { lineKey } from '@/core/week/place'
import { useHouse } from '@/ui/form/house'
import { useMay } from '@/ui/form/may'
import { spanWords } from '@/words/time'
import { differenceWords, noLongerHeld } from '@/words/week'
import type { Week } from './useWeek'
import type { Weighed } from './weighed'

const mostSaid = 6

export function ThoughtLine({ week, nowMs }: { week: Week; nowMs: number }) {
  const may = useMay()
  const { thought, weighed } = week
  if (!thought) return null
  const weeks = weighed === 'refused' ? null : weighed
  return (
    <section
      aria-label="What it would do"
      aria-live="polite"
      className="unprinted sticky bottom-14 z-20 mt-8 max-h-[46vh] overflow-auto border-t-4 border-now bg-sheet px-5 py-4 sm:bottom-0 sm:max-h-[60vh]"
    >
      <h2 className="title text-3xl">{thought.words}</h2>
      {!weighed && thought.key !== 'none' && <p className="mt-2 text-lg">Reckoning…</p>}
      {weighed === 'refused' && (
        <p className="mt-2 text-lg font-semibold text-late">
          That can’t be: somebody must be at work then, with what is below it dry.
        </p>
      )}
      {weeks && <Changes {...weeks} nowMs={nowMs} />}
      <div className="mt-4 flex flex-wrap gap-3">
        {thought.pins && may('week_plan') && (
          <button type="button" className="press press-now" disabled={!weeks || week.pending} onClick={() => void week.take()}>
            Take it
          </button>
        )}
        <button type="button" className="press" onClick={() => week.think(null)}>
          Leave it
        </button>
      </div>
    </section>
  )
}

function Changes({ now, then, lost, nowMs }: Weighed & { nowMs: number }) {
  const house = useHouse()
  const held = new Set(lost.map(({ stepId, side }) => lineKey(stepId, side)))
  const changes = new Set([
    ...then.lines.flatMap((line) => (held.has(keyOf(line) ?? '') ? [noLongerHeld(line, then)] : [])),
    ...differenceWords(now, then, house, nowMs),
  ])
  const moved = movedSteps(now, then)
  return (
    <>
      <ul className="mt-2 space-y-1 text-lg">
        {[...changes].slice(0, mostSaid).map((words) => (
          <li key={words} className={words.includes('breaks') ? 'font-semibold text-late' : ''}>
            {words}
          </li>
        ))}
        {changes.size === 0 && <li>No piece is done later or sooner.</li>}
      </ul>
      <p className="mt-2 text-soft">
        {moved === 0 ? 'Nothing else moves.' : `${moved} of ${now.lines.length} steps move.`} {costWords(now.cost, then.cost)}
      </p>
    </>
  )
}

const keyOf = ({ step, side }: OutlookLine) => step && lineKey(step.id, side)
function movedSteps(now: WeekOutlook, other: WeekOutlook): number {
  const was = new Map(now.lines.map((line) => [keyOf(line), line.startMs]))
  return other.lines.filter((line) => {
    const before = was.get(keyOf(line))
    return before !== undefined && before !== line.startMs
  }).length
}

/** What a change costs, as days that pieces are about. */
function costWords(now: number, other: number): string {
  const by = Math.round(other - now)
  if (Math.abs(by) < 30) return 'It costs nothing.'
  return by > 0
    ? `It costs as much as a piece that is about ${spanWords(by)} longer.`
    : `It saves as much as a piece that is gone ${spanWords(-by)} sooner.`
}
