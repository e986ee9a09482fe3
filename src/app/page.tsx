/** The bench: what hands can do now, in the order worth doing. */
import Link from 'next/link'
import { benchOrder, whatFits, type BenchLine, type WhyCode } from '../core/bench/benchOrder'
import { getOperation } from '../core/labour/operations'
import type { Product } from '../core/stock/product'
import { AirLine } from '../ui/bench/AirLine'
import { CoatSheetProvider } from '../ui/bench/CoatSheet'
import { DayLines } from '../ui/bench/DayLines'
import { NextLine } from '../ui/bench/NextLine'
import { OneThing } from '../ui/bench/OneThing'
import { toStepCard, windowView } from '../ui/bench/stepCard'
import { RefreshAt } from '../ui/time/RefreshAt'
import { stepTitle } from '../ui/words/craft'
import { loadWorkshop } from './_server/load'

export const metadata = { title: 'Bench' }

const whyWords: Record<WhyCode, string> = {
  running: 'Its clock is running.',
  closing: 'Its window closes soonest.',
  gone: 'Its window has closed: it will cost more the longer it stands.',
  promised: 'It is promised.',
  'long-dry-after': 'It dries long afterwards: begun now, it dries while you sleep.',
  open: 'Its window is open.',
  'nothing-holds': 'Nothing holds it back.',
  'test-first': 'It may be ready: test before you trust it.',
}
const spans = [15, 30, 40, 60, 90] as const

const cardOf = (line: BenchLine, products: readonly Product[]) =>
  toStepCard(line.journey.file.piece, line.part, line.step, products)

export default async function Bench({ searchParams }: { searchParams: Promise<{ minutes?: string }> }) {
  const { journeys, air, products, nowMs } = await loadWorkshop()
  const { running, now, gone, drying, resting } = benchOrder(journeys, nowMs)
  const doable = [...now, ...gone]
  const [first, ...others] = [...running, ...doable]
  const asked = Number((await searchParams).minutes)
  const fit = asked > 0 && asked <= 600 ? whatFits(doable, asked, ({ step }) => getOperation(step.operation).overhead) : null
  const shown = fit ? fit.taken : others
  const waiting = [...drying, ...resting]
  const changes = journeys
    .flatMap(({ parts }) => parts.flatMap(({ window }) => window?.segments.map(({ toMs }) => toMs) ?? []))
    .filter((at) => at > nowMs && Number.isFinite(at))

  const unplanned = journeys.filter(({ parts }) => parts.some(({ part }) => part.plan === null))

  if (!first && waiting.length === 0) return <EmptyBench pieces={journeys.length} />
  return (
    <CoatSheetProvider>
      <RefreshAt atMs={changes.length > 0 ? Math.min(...changes) : null} />
      {first ? (
        <OneThing card={cardOf(first, products)} why={whyWords[first.why]} />
      ) : (
        <h1 className="title py-8 text-4xl">Hands free. Everything is drying.</h1>
      )}
      <div className="grid gap-x-12 gap-y-10 border-t-2 border-ink pt-6 lg:grid-cols-2">
        <section aria-labelledby="next">
          <h2 id="next" className="title text-3xl">
            {fit ? `In ${asked} minutes` : 'Then'}
          </h2>
          <nav aria-label="I have so many minutes" className="mt-3 flex flex-wrap items-center gap-2">
            <span className="mr-1">I have</span>
            {spans.map((minutes) => (
              <Link
                key={minutes}
                href={asked === minutes ? '/' : `/?minutes=${minutes}`}
                scroll={false}
                aria-current={asked === minutes ? 'true' : undefined}
                className={`press px-3 ${asked === minutes ? 'press-now' : ''}`}
              >
                {minutes}
              </Link>
            ))}
            <span>minutes</span>
          </nav>
          {fit && (
            <p className="mt-3 text-lg font-semibold">
              {fit.taken.length === 0
                ? 'Nothing that can be done now is so short.'
                : `${fit.minutes} minutes of work, alike steps sharing their set-up.`}
            </p>
          )}
          <ul className="mt-2">
            {shown.map((line) => (
              <NextLine key={line.step.id} card={cardOf(line, products)} why={whyWords[line.why]} late={line.group === 'gone'} />
            ))}
          </ul>
          {shown.length === 0 && !fit && <p className="mt-3 text-soft">Nothing else can be done this minute.</p>}
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
                  const window = windowView(line.part)
                  return window
                    ? [
                        {
                          key: line.step.id,
                          href: `/pieces/${line.journey.file.piece.id}`,
                          name: `${line.journey.file.piece.name}, ${line.part.part.name.toLowerCase()}`,
                          next: stepTitle(line.step).toLowerCase(),
                          window,
                        },
                      ]
                    : []
                })}
              />
            )}
          </div>
          <div className="mt-6">
            <AirLine air={air} />
          </div>
          {unplanned.length > 0 && (
            <div className="mt-8">
              <h2 className="title text-3xl">Waiting for a finish</h2>
              <ul className="mt-2">
                {unplanned.map(({ file: { piece } }) => (
                  <li key={piece.id}>
                    <Link href={`/pieces/${piece.id}`} className="flex min-h-12 items-center text-lg">
                      {piece.name}
                    </Link>
                  </li>
                ))}
              </ul>
            </div>
          )}
        </section>
      </div>
    </CoatSheetProvider>
  )
}

function EmptyBench({ pieces }: { pieces: number }) {
  return (
    <section className="py-14">
      <h1 className="title text-5xl">The bench is clear</h1>
      <p className="mt-4 max-w-prose text-xl">
        {pieces === 0
          ? 'Take a first piece in: where it came from, what it cost, what it measures.'
          : 'Choose a finish for a piece, and its steps come here in the order worth doing.'}
      </p>
      <Link href={pieces === 0 ? '/pieces/new' : '/pieces'} className="press press-now mt-6 min-h-16 px-8 text-xl">
        {pieces === 0 ? 'Take a piece in' : 'To the pieces'}
      </Link>
    </section>
  )
}
