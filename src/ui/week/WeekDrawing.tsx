'use client'
/**
 * The week as one drawing: each piece a line through the days, strokes where hands are on it, hatched where it dries, and the thread of
 * each pair of hands wound through them all in the order of work. Told apart by form as well as tone.
 */
import { useId } from 'react'
import type { Day } from '@/core/measure/named'
import { daysBetween } from '@/core/measure/time'
import { dayBegins } from '@/core/measure/workingHours'
import type { OutlookLine, WeekOutlook } from '@/core/week/ask'
import { workDayOf } from '@/core/week/hands'
import { useHouse } from '@/ui/form/house'
import { useBeat } from '@/ui/time/now'
import { clockTime, shortDayWords } from '@/words/time'
import { type DayScale, dayScale } from './scale'
import { StepStroke } from './StepStroke'
import { DrawnThreads } from './Threads'

const head = 46
const laneHigh = 76
const flagWide = 64

interface Props {
  outlook: WeekOutlook
  hours: { from: number; to: number }
  isWorked: (day: string) => boolean
  days: number
  wide: number
  today: number
  /** a line, by its key */
  chosen: string | null
  choose: (key: string) => void
  /** a step was pulled to a moment, ms */
  move: (line: OutlookLine, ms: number) => void
  /** a step was pulled onto a name */
  give: (line: OutlookLine, hand: number) => void
  className?: string
}

export function WeekDrawing({ outlook, hours, isWorked, days, wide, today, chosen, choose, move, give, className = '' }: Props) {
  const house = useHouse()
  const nowMs = useBeat()
  const id = useId().replace(/[^a-zA-Z0-9]/g, '')
  const dayOn = (ms: number) => workDayOf(ms, house.zone, dayBegins(hours))
  const today0 = dayOn(nowMs)
  const large = wideDay(outlook, nowMs, dayOn)
  // where nothing is worked tomorrow, the drawing goes on until something is
  const count = Math.max(days, large + 1)
  const line = { nowMs, zone: house.zone, hours, isWorked, count, left: 8, right: wide - 8 }
  const scale = dayScale({ ...line, wide: large, share: today })
  const high = head + Math.max(1, outlook.pieces.length) * laneHigh + 10
  const yOf = (piece: number) => head + piece * laneHigh + laneHigh * 0.6
  const numbers = todaysNumbers(outlook, today0, dayOn)
  const plumb = scale.x(nowMs)
  // the time stands beside its line, on the side on which no day is named
  const flag = plumb - flagWide > 8 ? plumb - flagWide + 1 : plumb - 1
  // what lies beyond the last day that is drawn is in the lists
  const lines = outlook.lines.filter(({ startMs }) => startMs < scale.at(wide - 8))
  return (
    <svg viewBox={`0 0 ${wide} ${high}`} className={`w-full ${className}`} role="img" aria-label={drawnWords(outlook)}>
      <defs>
        <pattern id={`${id}-dry`} width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(50)">
          <rect width="3" height="8" fill="var(--ink)" />
        </pattern>
      </defs>
      <Days scale={scale} high={high} today={today0} flagged={plumb} />
      {outlook.pieces.map((piece, k) => (
        <g key={piece.pieceId}>
          <path d={`M8 ${yOf(k)}H${wide - 8}`} stroke="var(--line)" strokeWidth="1.5" />
          <Promise scale={scale} y={yOf(k)} piece={piece} wide={wide} />
        </g>
      ))}
      {lines.map((line) => (
        <Drying key={line.index} line={line} outlook={outlook} scale={scale} y={yOf(line.piece)} pattern={`${id}-dry`} />
      ))}
      <DrawnThreads hands={outlook.hands} {...{ lines, scale, yOf }} />
      {lines.map((line) => (
        <StepStroke
          key={line.key}
          line={line}
          number={numbers.get(line.index)}
          scale={scale}
          y={yOf(line.piece)}
          wide={wide}
          chosen={chosen === line.key}
          choose={() => choose(line.key)}
          move={(ms) => move(line, ms)}
          give={(hand) => give(line, hand)}
        />
      ))}
      {/* what is drawn over the strokes is no hindrance to a finger */}
      <path d={`M${plumb} ${head - 16}V${high}`} stroke="var(--ink)" strokeWidth="3.5" className="pointer-events-none" />
      {outlook.pieces.map((piece, k) => (
        <text
          key={piece.pieceId}
          x={14}
          y={yOf(k) - 26}
          fontSize="17"
          fontWeight="650"
          fill="var(--ink)"
          stroke="var(--ground)"
          strokeWidth="6"
          strokeLinejoin="round"
          className="pointer-events-none [font-stretch:88%] [paint-order:stroke]"
        >
          {piece.name}
        </text>
      ))}
      <rect x={flag} y={head - 40} width={flagWide} height="25" fill="var(--ink)" />
      <text x={flag + flagWide / 2} y={head - 22} fontSize="17" fontWeight="650" textAnchor="middle" fill="var(--ground)">
        {clockTime(new Date(nowMs).toISOString(), house)}
      </text>
    </svg>
  )
}

/** Today's steps by the order in which they are worked, as the list beside numbers them. */
export function todaysNumbers({ lines }: WeekOutlook, today: Day, dayOn: (ms: number) => Day): Map<number, number> {
  const own = lines.filter(({ startMs }) => dayOn(startMs) === today)
  return new Map(own.map(({ index }, k) => [index, k + 1]))
}

function drawnWords({ pieces, lines }: WeekOutlook): string {
  return `The week drawn: ${lines.length} steps of ${pieces.length} pieces. The lists below say the same.`
}

/** Which day is drawn wide: today while something of it is ahead, else the first on which something is; within a week. */
function wideDay({ lines }: WeekOutlook, nowMs: number, dayOn: (ms: number) => Day): number {
  const next = lines.find(({ endMs }) => endMs > nowMs)?.startMs ?? nowMs
  return Math.max(0, Math.min(6, daysBetween(dayOn(nowMs), dayOn(next))))
}

/** `flagged`: where the time stands written. */
function Days({ scale, high, today, flagged }: { scale: DayScale; high: number; today: string; flagged: number }) {
  const house = useHouse()
  return (
    <>
      {scale.days.map(({ day, from, to, opens, shuts, isWorked }, k) => (
        <g key={day}>
          {k > 0 && <path d={`M${from} 8V${high}`} stroke="var(--ink)" strokeWidth={k === 0 ? 2 : 1.4} />}
          {isWorked && (
            <rect
              x={opens}
              y={head - 10}
              width={Math.max(0, shuts - opens)}
              height={high - head + 10}
              fill="var(--sheet)"
              opacity="0.55"
            />
          )}
          {(k > 0 || to - flagged > 150) && (
            <text
              x={k === 0 ? to - 12 : from + 7}
              y={24}
              fontSize="19"
              fontWeight="700"
              textAnchor={k === 0 ? 'end' : 'start'}
              fill="var(--ink)"
              className="[font-stretch:86%]"
            >
              {day === today ? 'Today' : shortDayWords(day, house, to - from > 72)}
            </text>
          )}
        </g>
      ))}
    </>
  )
}

/** What dries after a step until the next on the same part is worked. */
function Drying({
  line,
  outlook,
  scale,
  y,
  pattern,
}: {
  line: OutlookLine
  outlook: WeekOutlook
  scale: DayScale
  y: number
  pattern: string
}) {
  const next = outlook.lines.find(({ partId, startMs }) => partId !== null && partId === line.partId && startMs >= line.endMs)
  const opens = line.step?.window?.opens[1] ?? 0
  if (!next || opens === 0) return null
  const [from, to] = [scale.x(line.endMs), scale.x(next.startMs)]
  return to - from > 3 ? (
    <rect x={from} y={y - 4} width={to - from} height="8" fill={`url(#${pattern})`} stroke="var(--ink)" strokeWidth="1" />
  ) : null
}

function Promise({ scale, y, piece, wide }: { scale: DayScale; y: number; piece: WeekOutlook['pieces'][number]; wide: number }) {
  const drawn = scale.days.find(({ day }) => day === piece.promisedOn)
  const over = piece.promisedOn !== null && !drawn && piece.promisedOn > (scale.days.at(-1)?.day ?? '')
  if (!piece.promisedOn || (!drawn && !over)) return null
  const at = over ? wide - 12 : (drawn?.shuts ?? 0)
  const late = piece.lateMinutes > 0
  return (
    <path
      d={`M${at} ${y + 16}V${y - 30}l-26 8 26 9`}
      fill={late ? 'var(--late)' : 'none'}
      stroke={late ? 'var(--late)' : 'var(--ink)'}
      strokeWidth="2.2"
      strokeDasharray={over ? '4 3' : undefined}
    />
  )
}
