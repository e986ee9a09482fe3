'use client'
/** A day's steps in order: when, what, on what, who, why just then; a tap opens what may be changed. */
import type { OutlookLine, WeekOutlook } from '@/core/week/ask'
import { keeps } from '@/core/week/held'
import type { LineFigures } from '@/core/week/place'
import { useHouse } from '@/ui/form/house'
import { clockTime, momentWords } from '@/words/time'
import { figuresWords, isReckonedAnew, lostWords, placeTitle, weekReasonWords } from '@/words/week'
import { given, letGo, moved } from './thoughts'
import type { Week } from './useWeek'

interface Props {
  week: Week
  outlook: WeekOutlook
  lines: readonly OutlookLine[]
  numbers: ReadonlyMap<number, number> | null
  /** by its key */
  chosen: string | null
  choose: (key: string | null) => void
  hands: readonly { id: string | null; name: string | null }[]
  nowMs: number
}

export function LineList({ lines, chosen, choose, ...rest }: Props) {
  return (
    <ol>
      {lines.map((line) => (
        <Line
          key={line.key}
          line={line}
          open={chosen === line.key}
          toggle={() => choose(chosen === line.key ? null : line.key)}
          {...rest}
        />
      ))}
    </ol>
  )
}

type LineProps = Omit<Props, 'lines' | 'chosen' | 'choose'> & { line: OutlookLine; open: boolean; toggle: () => void }

const quarter = 15 * 60_000

function Line({ line, open, toggle, week, outlook, numbers, hands, nowMs }: LineProps) {
  const house = useHouse()
  const piece = outlook.pieces[line.piece]
  const number = numbers?.get(line.index)
  const held = week.pins.find((pin) => pin.stepId === line.step?.id && pin.side === (line.side ?? null))
  const isHeld = held !== undefined && keeps(line, held, hands)
  // what lies behind holds nothing, and what was reckoned before it was held tells nothing
  const isLost = held !== undefined && !isHeld && week.isOfNow && (held.at ?? nowMs) >= nowMs
  const move = (ms: number) =>
    week.think(moved(line, week.pins, ms, `${placeTitle(line)} ${momentWords(new Date(ms).toISOString(), house, nowMs)}`))
  return (
    <li className="border-b border-line">
      <button
        type="button"
        aria-expanded={open}
        onClick={toggle}
        onKeyDown={(event) => {
          const thoughtAt = week.thought?.key.startsWith(`move ${line.key} `) ? Number(week.thought.key.split(' ').at(-1)) : null
          const by = event.key === 'ArrowRight' ? quarter : event.key === 'ArrowLeft' ? -quarter : 0
          if (by !== 0 && line.step) move((thoughtAt ?? line.startMs) + by)
          else if (event.key === 'Enter' && thoughtAt !== null) void week.take()
          else if (event.key === 'Escape' && thoughtAt !== null) week.think(null)
          else return
          event.preventDefault()
        }}
        className="grid min-h-14 w-full grid-cols-[1.6rem_4.6rem_1fr] items-baseline gap-x-3 py-2 text-left sm:grid-cols-[2rem_5rem_1fr_auto]"
      >
        <span className="figure text-xl text-now">{number ?? ''}</span>
        <span className="figure text-2xl">{clockTime(new Date(line.startMs).toISOString(), house)}</span>
        <span>
          <span className="font-semibold">{placeTitle(line)}</span>{' '}
          <span className="text-soft">{[piece?.name, line.partName?.toLowerCase()].filter(Boolean).join(', ')}</span>
          {isHeld && <span className="ml-2 font-semibold text-now">held</span>}
          {isLost && <span className="block font-semibold text-late">{lostWords(held, hands, { house, nowMs })}</span>}
          {line.missed && <span className="block font-semibold text-late">its window can’t be kept</span>}
        </span>
        <span className="col-start-3 text-soft sm:col-start-4">
          {line.handName && hands.length > 1 ? `${line.handName}, ` : ''}
          {Math.round((line.endMs - line.startMs) / 60_000)} min
        </span>
      </button>
      {open && (
        <div className="space-y-3 pb-4 sm:pl-11">
          <p className="text-lg">
            {weekReasonWords(line, outlook)}
            {line.byMs !== null && ` Its window closes ${momentWords(new Date(line.byMs).toISOString(), house, nowMs)}.`}
            {held && !isHeld && ' It was held where it can’t be worked any more.'}
          </p>
          {line.figures && <Figures line={line} now={line.figures} then={week.takenFigures.get(line.key) ?? null} />}
          {line.step && (
            <p className="hidden text-soft sm:block">
              The arrow keys move it by a quarter of an hour; Enter takes that, Escape leaves it.
            </p>
          )}
          {line.step && (
            <div className="flex flex-wrap gap-2">
              {held ? (
                <button type="button" className="press" onClick={() => week.think(letGo(line, week.pins))}>
                  Let it go
                </button>
              ) : (
                <button type="button" className="press" onClick={() => move(line.startMs)}>
                  Hold it there
                </button>
              )}
              {line.missed && (
                <button type="button" className="press press-now" onClick={() => week.seek(line)}>
                  What would keep it?
                </button>
              )}
              <button type="button" className="press" onClick={() => move(line.startMs - 2 * quarter)}>
                Half an hour sooner
              </button>
              <button type="button" className="press" onClick={() => move(line.startMs + 2 * quarter)}>
                Half an hour later
              </button>
              <button type="button" className="press" onClick={() => move(line.startMs + 96 * quarter)}>
                A day later
              </button>
              {hands.length > 1 &&
                hands.map(({ id, name }) =>
                  id === null || name === line.handName ? null : (
                    <button
                      key={id}
                      type="button"
                      className="press"
                      onClick={() => week.think(given(line, week.pins, id, `${placeTitle(line)} by ${name}`))}
                    >
                      Give it to {name}
                    </button>
                  ),
                )}
            </div>
          )}
        </div>
      )}
    </li>
  )
}

/** What it is reckoned by; and what it was, where it was taken by other figures. */
function Figures({ line, now, then }: { line: OutlookLine; now: LineFigures; then: LineFigures | null }) {
  const house = useHouse()
  return (
    <p className="text-soft">
      {figuresWords(now, house, Math.max(0, now.minutes - (line.end - line.start)))}
      {then && isReckonedAnew(now, then) && (
        <span className="block">When the plan was taken it was: {figuresWords(then, house)}</span>
      )}
    </p>
  )
}
