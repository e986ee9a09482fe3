'use client'
/** The workshop's week: drawn large, today in order, when each piece is ready, and what if. Reckoned on the device, beside the page. */
import { useMemo, useState } from 'react'
import type { Day } from '@/core/measure/named'
import { dayBegins } from '@/core/measure/workingHours'
import type { OutlookLine, WeekOutlook } from '@/core/week/ask'
import { hoursOfAll, hoursOn, workDayOf } from '@/core/week/hands'
import { readWeekBack, type WrittenWeek } from '@/core/week/weekData'
import { useHouse } from '@/ui/form/house'
import { useMay } from '@/ui/form/may'
import { Link } from '@/ui/frame/Link'
import { NotReckoned } from '@/ui/time/NotReckoned'
import { useBeat } from '@/ui/time/now'
import { capital } from '@/words/text'
import { dayWords, hoursWords, momentWords } from '@/words/time'
import { noWeekWords, placeTitle } from '@/words/week'
import { LineList } from './LineList'
import { Promises } from './Promises'
import { ThoughtLine } from './ThoughtLine'
import { given, moved } from './thoughts'
import { Threads } from './Threads'
import { useWeek, type Week } from './useWeek'
import { todaysNumbers, WeekDrawing } from './WeekDrawing'
import { WhatIf } from './WhatIf'

/** the week is reckoned anew so often by itself */
const anewMs = 300_000
const daysListed = 9

export function WeekView({ written }: { written: WrittenWeek }) {
  const data = useMemo(() => readWeekBack(written), [written])
  const nowMs = Math.floor(useBeat() / anewMs) * anewMs
  const house = useHouse()
  const week = useWeek(data, nowMs)
  const [chosen, choose] = useState<string | null>(null)
  const { answer, outlook } = week
  if (answer && !outlook) return <Nothing answer={answer} />
  if (!outlook && week.failed) return <NotReckoned again={week.again} />
  if (!outlook) {
    const planned = data.bench.files.filter(({ parts }) => parts.some(({ plan }) => plan !== null))
    return <BeingReckoned names={planned.map(({ piece }) => piece.name)} />
  }
  if (outlook.lines.length === 0) return <Nothing answer={null} />
  const shown = week.weighed && week.weighed !== 'refused' ? week.weighed.then : outlook
  const hours = hoursOfAll(data.hands)
  // a night's work is of the day on which it begins
  const dayOn = (ms: number) => workDayOf(ms, house.zone, dayBegins(hours))
  const today = dayOn(nowMs)
  const numbers = todaysNumbers(outlook, today, dayOn)
  const move = (line: OutlookLine, ms: number) =>
    week.think(moved(line, week.pins, ms, `${placeTitle(line)} ${momentWords(new Date(ms).toISOString(), house, nowMs)}`))
  const give = (line: OutlookLine, hand: number) => {
    const { id, name } = data.hands[hand] ?? {}
    if (id && hand !== line.hand) week.think(given(line, week.pins, id, `${placeTitle(line)} by ${name}`))
  }
  const isWorked = (day: string) => data.hands.some((hand) => hoursOn(hand, data.others, day) !== null)
  const drawing = { outlook: shown, hours, isWorked, chosen, choose, move, give }
  const list = { week, outlook, chosen, choose, hands: data.hands, nowMs }
  return (
    <div className="pt-5">
      <Head week={week} outlook={outlook} first={data.week === null} />
      <WeekDrawing {...drawing} days={7} wide={1240} today={0.46} className="mt-4 hidden sm:block" />
      <WeekDrawing {...drawing} days={2} wide={560} today={0.74} className="mt-4 sm:hidden" />
      <Threads hands={shown.hands} />
      <div className="mt-8 grid gap-x-14 gap-y-10 lg:grid-cols-[1.4fr_1fr]">
        <Days {...list} today={today} dayOn={dayOn} numbers={numbers} />
        <div className="space-y-10">
          <Promises outlook={outlook} nowMs={nowMs} />
          <WhatIf week={week} data={data} outlook={outlook} nowMs={nowMs} />
        </div>
      </div>
      <ThoughtLine week={week} nowMs={nowMs} />
    </div>
  )
}

/** Today's steps, and those of later days folded away until they are wanted. */
function Days({ today, dayOn, numbers, ...list }: Omit<LinesOf, 'lines'> & { today: Day; dayOn: (ms: number) => Day }) {
  const house = useHouse()
  const [first, ...rest] = byDay(list.outlook, dayOn)
  const now = first?.day === today ? first : null
  return (
    <div className="space-y-4">
      <section aria-labelledby="today" className="border-t-2 border-ink pt-3">
        <h2 id="today" className="title text-3xl">
          Today, in order
        </h2>
        {now ? (
          <LineList {...list} lines={now.lines} numbers={numbers} />
        ) : (
          <p className="mt-2 text-lg">Nothing is to be done today.</p>
        )}
      </section>
      {(now || !first ? rest : [first, ...rest]).slice(0, daysListed).map(({ day, lines }) => (
        <details key={day} className="border-t-2 border-ink pt-1">
          <summary className="flex min-h-14 cursor-pointer items-baseline justify-between gap-4 pt-2">
            <span className="title text-2xl">{capital(dayWords(day, house))}</span>
            <span className="text-soft">
              {lines.length === 1 ? '1 step' : `${lines.length} steps`},{' '}
              {hoursWords(Math.round(minutesOf(lines) / 6) / 10, house)}
            </span>
          </summary>
          <LineList {...list} lines={lines} numbers={null} />
        </details>
      ))}
    </div>
  )
}
type LinesOf = Parameters<typeof LineList>[0]
const minutesOf = (lines: readonly OutlookLine[]) =>
  lines.reduce((sum, { startMs, endMs }) => sum + (endMs - startMs) / 60_000, 0)

function byDay({ lines }: WeekOutlook, dayOn: (ms: number) => Day): { day: Day; lines: OutlookLine[] }[] {
  const days = new Map<string, OutlookLine[]>()
  for (const line of lines) {
    const day = dayOn(line.startMs)
    days.set(day, [...(days.get(day) ?? []), line])
  }
  return [...days].map(([day, own]) => ({ day, lines: own }))
}

function Head({ week, outlook, first }: { week: Week; outlook: WeekOutlook; first: boolean }) {
  const may = useMay()
  const house = useHouse()
  const late = outlook.pieces.filter(({ lateMinutes }) => lateMinutes > 0)
  const missed = outlook.lines.filter((line) => line.missed).length
  const room = outlook.cost > 0 ? Math.max(0, Math.round((1 - outlook.bound / outlook.cost) * 100)) : 0
  return (
    <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-3">
      <div>
        <h1 className="title text-5xl">The week</h1>
        <p className="mt-2 text-xl">
          <strong className="figure text-3xl">{hoursWords(Math.round(outlook.workMinutes / 6) / 10, house)}</strong> of work
          ahead. {late.length === 0 ? 'Every promise holds' : `${late.map(({ name }) => name).join(', ')} can’t be kept`}
          {missed > 0
            ? `; ${missed} ${missed === 1 ? 'window is' : 'windows are'} missed.`
            : late.length === 0
              ? ', every window is kept.'
              : '.'}
        </p>
        <p className="text-soft">
          {week.falling !== null
            ? 'Looking for a better one…'
            : room === 0
              ? 'No week is better.'
              : `No week is more than ${room} % better.`}
          {outlook.stuck.length > 0 && ` ${outlook.stuck.length} steps can’t be told a day: it is too cold to dry.`}
        </p>
        {week.issue && (
          <p role="alert" className="mt-2 border-l-4 border-late pl-3 font-semibold text-late">
            {week.issue}
          </p>
        )}
      </div>
      <div className="unprinted flex flex-wrap gap-3">
        {week.undo && may('week_plan') && (
          <button type="button" className="press" disabled={week.pending} onClick={() => void week.undo?.()}>
            As it was before
          </button>
        )}
        <Link href="/week/sheet" className="press">
          A day for the wall
        </Link>
        {may('week_plan') && (
          <button
            type="button"
            className="press press-now min-h-14 px-7 text-lg"
            disabled={week.isKept || week.pending}
            onClick={() => void week.keepNow()}
          >
            {week.isKept ? 'This is the week' : first ? 'Take this week' : 'Take it as it stands now'}
          </button>
        )}
      </div>
    </div>
  )
}

/** Until the first week is there: the lines of its pieces, empty. */
function BeingReckoned({ names }: { names: readonly string[] }) {
  return (
    <div className="pt-5">
      <h1 className="title text-5xl">The week</h1>
      <p role="status" className="mt-2 text-xl">
        Being reckoned…
      </p>
      {names.length > 0 && (
        <ul className="mt-8 bg-sheet px-2 pb-8 text-sm font-semibold">
          {names.map((name, nth) => (
            <li key={nth} className="flex h-14 items-end border-b border-line sm:h-18">
              {name}
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}

function Nothing({ answer }: { answer: Week['answer'] }) {
  const none = answer && 'why' in answer ? answer : null
  return (
    <section className="py-14">
      <h1 className="title text-5xl">The week</h1>
      <p className="mt-4 max-w-prose text-xl">
        {none ? noWeekWords(none) : 'Nothing is ahead. Choose a finish for a piece, and its days stand here.'}
      </p>
      {none && (
        <p className="mt-6 flex flex-wrap gap-3">
          <Link href="/house" className="press press-now">
            When people work
          </Link>
          {none.place && (
            <Link href={`/pieces/${none.place.pieceId}`} className="press">
              The piece
            </Link>
          )}
        </p>
      )}
    </section>
  )
}
