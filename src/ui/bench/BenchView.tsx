'use client'
/**
 * The bench: what hands can do now, in the order worth doing. Read here from the bench's data and from what this device has
 * written since, so that a tap shows at once and the bench goes on where there is no connection.
 */
import { useMemo, useState } from 'react'
import { readBench, readBenchBack, type WrittenBench } from '@/core/bench/benchData'
import { type BenchLine, benchOrder, type WhyCode } from '@/core/bench/benchOrder'
import { type CardContext, loggedCoats, noHeatOn, toStepCard, windowView } from '@/core/bench/stepCard'
import { isSilent } from '@/core/climate/believe'
import { climateIn } from '@/core/climate/rooms'
import { batchesIn } from '@/core/log/batch'
import { judgedOf } from '@/core/piece/judged'
import { lanesOf } from '@/core/piece/lanes'
import type { Piece } from '@/core/piece/piece'
import { useHouse } from '@/ui/form/house'
import { later, whereShown } from '@/ui/frame/later'
import { Link } from '@/ui/frame/Link'
import { HandsChoice } from '@/ui/outbox/hands'
import { useOutbox } from '@/ui/outbox/useOutbox'
import { useBeat } from '@/ui/time/now'
import { useAwake } from '@/ui/time/useAwake'
import { stepTitle } from '@/words/craft'
import { AirLine } from './AirLine'
import { CurrentStep } from './CurrentStep'
import { DayLines } from './DayLines'
import { DoneSheetProvider } from './DoneSheet'
import { NextLine } from './NextLine'

const FitLines = later(async () => (await import('./FitLines')).FitLines)
const ChecksToDo = whereShown(async () => (await import('./ChecksToDo')).ChecksToDo)
const EmptyBench = whereShown(async () => (await import('./EmptyBench')).EmptyBench)
const EndsToSettle = whereShown(async () => (await import('./EndsToSettle')).EndsToSettle)
const WaitsForClient = whereShown(async () => (await import('./WaitsForClient')).WaitsForClient)
const Reminders = whereShown(async () => (await import('./Reminders')).Reminders)
const IfStopped = whereShown(async () => (await import('./IfStopped')).IfStopped)

const whyWords: Record<WhyCode, string> = {
  running: 'Its clock is running.',
  turn: 'Its first side is dry enough to lie on.',
  planned: 'It is next in the week you took.',
  closing: 'Its window closes soonest.',
  missed: 'Its window has closed: it will cost more the longer it stands.',
  promised: 'It is promised.',
  'long-dry-after': 'It dries long afterwards: begun now, it dries while you sleep.',
  open: 'Its window is open.',
  'nothing-holds': 'Nothing holds it back.',
  'test-first': 'It may be ready: test before you trust it.',
  client: 'A change waits for the client’s yes.',
}
const spans = [15, 30, 40, 60, 90] as const
/** what comes after these is a tap away */
const atFirst = 5

export function BenchView({ written }: { written: WrittenBench }) {
  const data = useMemo(() => readBenchBack(written), [written])
  const { entries } = useOutbox()
  const { zone } = useHouse()
  const beat = useBeat()
  // what was just tapped is never ahead of the clock it is read by
  const nowMs = Math.max(beat, ...entries.map(({ at }) => Date.parse(at)))
  const journeys = useMemo(() => readBench(data, entries, nowMs), [data, entries, nowMs])
  const [asked, setAsked] = useState<number | null>(null)
  const [all, setAll] = useState(false)

  const unanswered = useMemo(() => new Set(data.waiting), [data.waiting])
  const { running, now, missed, drying, resting, client } = benchOrder(journeys, nowMs, zone, data.planned, unanswered)
  // wet hands wake no screen
  useAwake(running.some(({ part }) => part.running?.state.status === 'running'))
  const doable = [...now, ...missed]
  const [first, ...others] = [...running, ...doable]
  const waiting = [...drying, ...resting]
  const lanes = journeys.flatMap(lanesOf)
  const waitsForChecks = lanes.some(({ checks }) => checks.length > 0)
  const endedTwice = lanes.some(({ done }) => done.some(({ state }) => state.conflict))
  const unplanned = journeys.filter(({ parts }) => parts.some(({ part }) => part.plan === null))
  const air = climateIn(data.climates, null, data.rooms).at(-1) ?? null
  const around: CardContext = {
    products: data.products,
    lots: data.lots,
    batches: batchesIn(
      journeys.map(({ file: { piece }, log }) => ({ log, climate: climateIn(data.climates, piece.roomId, data.rooms) })),
    ),
    journeys,
    coats: loggedCoats(journeys),
    nowMs,
    waiting: unanswered,
  }
  const cardOf = (line: BenchLine) => toStepCard(line.journey, line.part, line.step, around)

  if (!first && waiting.length === 0 && client.length === 0) return <EmptyBench pieces={journeys.length} />
  return (
    <DoneSheetProvider air={air}>
      {first ? (
        <CurrentStep key={first.step.id} card={cardOf(first)} judged={judgedOf(first.part)} why={whyWords[first.why]} />
      ) : (
        <h1 className="title py-8 text-4xl">
          {waiting.length > 0 ? 'Hands free. Everything is drying.' : 'Hands free. What is here waits for its client.'}
        </h1>
      )}
      <div className="grid gap-x-12 gap-y-10 border-t-2 border-ink pt-6 lg:grid-cols-2">
        <section aria-labelledby="next">
          <div className="flex flex-wrap items-baseline justify-between gap-x-4">
            <h2 id="next" className="title text-3xl">
              {asked === null ? 'Then' : `In ${asked} minutes`}
            </h2>
            <HandsChoice />
          </div>
          <MinutesAsked asked={asked} ask={setAsked} />
          {asked === null ? (
            <>
              <ul className="mt-2">
                {others.slice(0, all ? undefined : atFirst).map((line) => (
                  <NextLine key={line.step.id} card={cardOf(line)} why={whyWords[line.why]} late={line.group === 'missed'} />
                ))}
              </ul>
              {!all && others.length > atFirst && (
                <button type="button" className="press mt-3" onClick={() => setAll(true)}>
                  {others.length - atFirst} more
                </button>
              )}
              {others.length === 0 && <p className="mt-3 text-soft">Nothing else can be done this minute.</p>}
            </>
          ) : (
            <FitLines doable={doable} minutes={asked} cardOf={cardOf} whyWords={whyWords} />
          )}
        </section>
        <section aria-labelledby="drying" className="order-first lg:order-none">
          <h2 id="drying" className="title text-3xl">
            Drying and resting
          </h2>
          <div className="mt-3">
            {waiting.length === 0 ? (
              <p className="text-soft">Nothing is wet.</p>
            ) : (
              <DayLines
                lines={waiting.flatMap((line) => {
                  const window = windowView(line.part, nowMs)
                  const { piece } = line.journey.file
                  const name = `${piece.name}, ${line.part.part.name.toLowerCase()}`
                  return window
                    ? [
                        {
                          key: line.step.id,
                          href: `/pieces/${piece.id}`,
                          name,
                          next: stepTitle(line.step).toLowerCase(),
                          window,
                          feel: { pieceId: piece.id, partId: line.part.part.id, name, noHeat: noHeatOn(line.part) },
                        },
                      ]
                    : []
                })}
              />
            )}
          </div>
          {client.length > 0 && <WaitsForClient pieces={client.map(({ journey }) => journey.file.piece)} />}
          {endedTwice && <EndsToSettle journeys={journeys} />}
          {waitsForChecks && <ChecksToDo journeys={journeys} around={around} />}
          <div className="mt-6">
            <AirLine air={air} rooms={data.rooms} silent={isSilent(air?.at ?? null, nowMs)} />
          </div>
          <Reminders journeys={journeys} />
          <IfStopped journeys={journeys} hours={data.hours} nowMs={nowMs} />
          {unplanned.length > 0 && <WaitingForAFinish pieces={unplanned.map(({ file: { piece } }) => piece)} />}
        </section>
      </div>
    </DoneSheetProvider>
  )
}

function MinutesAsked({ asked, ask }: { asked: number | null; ask: (minutes: number | null) => void }) {
  return (
    <div role="group" aria-label="I have so many minutes" className="mt-3 flex flex-wrap items-center gap-2">
      <span className="mr-1">I have</span>
      {spans.map((minutes) => (
        <button
          key={minutes}
          type="button"
          aria-pressed={asked === minutes}
          onClick={() => ask(asked === minutes ? null : minutes)}
          className={`press px-3 ${asked === minutes ? 'press-now' : ''}`}
        >
          {minutes}
        </button>
      ))}
      <span>minutes</span>
    </div>
  )
}

function WaitingForAFinish({ pieces }: { pieces: readonly Pick<Piece, 'id' | 'name'>[] }) {
  return (
    <div className="mt-8">
      <h2 className="title text-3xl">Waiting for a finish</h2>
      <ul className="mt-2">
        {pieces.map((piece) => (
          <li key={piece.id}>
            <Link href={`/pieces/${piece.id}`} className="flex min-h-12 items-center text-lg">
              {piece.name}
            </Link>
          </li>
        ))}
      </ul>
    </div>
  )
}
