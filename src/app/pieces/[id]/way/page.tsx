/** The way still ahead of a piece: every part's steps in one painter's days, and what they take from the shelf. */
import Link from 'next/link'
import { getFamily, unitOf } from '../../../../core/finish/families'
import { sumAmounts } from '../../../../core/plan/planPiece'
import { layOut, usualHours } from '../../../../core/plan/timeline'
import { findTin } from '../../../../core/stock/product'
import { dayAfter, minuteOfDay, weekdayOf, dayOf } from '../../../../core/time/wallTime'
import { formatVolume } from '../../../../core/unit/length'
import { capital, stepTitle } from '../../../../ui/words/craft'
import { dayWords, hoursWords } from '../../../../ui/words/time'
import { getPieceView } from '../../../_server/load'

export const metadata = { title: 'Its way' }

const clock = (minutes: number) =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(Math.floor(minutes % 60)).padStart(2, '0')}`

export default async function WayPage({ params }: { params: Promise<{ id: string }> }) {
  const { studio, journey, products, nowMs } = await getPieceView(params)
  const { piece } = journey.file
  const now = new Date(nowMs).toISOString()
  const today = dayOf(now, studio.zone)
  const startAt = minuteOfDay(now, studio.zone)
  const parts = journey.parts.map(({ part, steps, window }) => ({
    id: part.id,
    steps: steps.filter(({ state }) => state.status === 'waiting' || state.status === 'running').map(({ step }) => step),
    readyAt: startAt + Math.max(0, window?.times.opens ? (Date.parse(window.times.opens) - nowMs) / 60_000 : 0),
  }))
  const { slots, attendedMinutes, savedMinutes, days, awkward } = layOut(parts, usualHours, startAt, weekdayOf(today))
  const named = new Map(journey.parts.map(({ part }) => [part.id, part.name]))
  const byDay = [...new Set(slots.map(({ start }) => Math.floor(start / 1440)))].map((index) => ({
    index,
    slots: slots.filter(({ start }) => Math.floor(start / 1440) === index),
  }))
  const amounts = sumAmounts(parts.flatMap(({ steps }) => steps))
  return (
    <div className="pt-6">
      <p className="text-lg">
        <Link href={`/pieces/${piece.id}`}>{piece.name}</Link>
      </p>
      <h1 className="title text-5xl">Its way</h1>
      {slots.length === 0 ? (
        <p className="mt-4 text-xl">Nothing is ahead of it. Choose a finish for its parts, and their steps stand here in days.</p>
      ) : (
        <>
          <p className="mt-3">
            <span className="figure text-6xl">{hoursWords(Math.round(attendedMinutes / 6) / 10)}</span>{' '}
            <span className="text-xl text-soft">
              of work over {days === 1 ? 'one day' : `${days} days`}, one painter, 9:00 to 17:00
              {savedMinutes > 0 ? `, ${savedMinutes} min of set-up shared between parts` : ''}
            </span>
          </p>
          {awkward > 0 && (
            <p className="mt-3 border-l-4 border-late pl-3 font-semibold">
              A window here can’t be kept within these hours: it is marked below.
            </p>
          )}
          <div className="mt-6 grid gap-x-14 gap-y-10 lg:grid-cols-[1.5fr_1fr]">
            <div className="space-y-8">
              {byDay.map((day) => (
                <section key={day.index} aria-labelledby={`day-${day.index}`} className="border-t-2 border-ink pt-3">
                  <h2 id={`day-${day.index}`} className="title text-3xl">
                    {dayWords(dayAfter(today, day.index))}
                  </h2>
                  <ol className="mt-1">
                    {day.slots.map(({ partId, index, start, end, awkward: late }) => {
                      const step = parts.find(({ id }) => id === partId)?.steps[index]
                      return (
                        step && (
                          <li
                            key={step.id}
                            className="grid grid-cols-[5.5rem_1fr_auto] items-baseline gap-x-3 border-b border-line py-2"
                          >
                            <span className="figure text-2xl">{clock(start % 1440)}</span>
                            <span>
                              <span className="font-semibold">{stepTitle(step)}</span>{' '}
                              <span className="text-soft">{named.get(partId)?.toLowerCase()}</span>
                              {late && (
                                <span className="block font-semibold text-late">its window closes while nobody works</span>
                              )}
                            </span>
                            <span className="text-soft">{end - start} min</span>
                          </li>
                        )
                      )
                    })}
                  </ol>
                </section>
              ))}
            </div>
            <section aria-labelledby="takes" className="border-t-2 border-ink pt-3">
              <h2 id="takes" className="title text-3xl">
                It takes
              </h2>
              <ul className="mt-1">
                {amounts.map(({ family, hex, name, amount }) => {
                  const tin = findTin(products, family, hex)
                  const said = unitOf(family) === 'g' ? `${Math.round(amount)} g` : formatVolume(amount, studio.units)
                  return (
                    <li key={`${family} ${hex}`} className="flex items-center justify-between gap-4 border-b border-line py-2">
                      <span>
                        <span className="font-semibold">{name ?? capital(getFamily(family).words)}</span>
                        {name && <span className="text-soft"> {getFamily(family).words}</span>}
                        {!tin && <span className="block font-semibold text-late">not on the shelf</span>}
                        {tin && tin.size < amount && (
                          <span className="block font-semibold text-late">
                            more than one tin of {tin.size} {tin.unit}
                          </span>
                        )}
                      </span>
                      <span className="figure text-2xl">{said}</span>
                    </li>
                  )
                })}
              </ul>
            </section>
          </div>
        </>
      )}
    </div>
  )
}
