/** The way still ahead of a piece: every part's steps in one painter's days, and what they take from the shelf. */
import Link from 'next/link'
import { getPieceView, loadProducts } from '@/app/_server/load'
import { getFamily } from '@/core/craft/families'
import { isAhead } from '@/core/log/stepStates'
import { formatAmount } from '@/core/measure/amount'
import type { PartId } from '@/core/measure/named'
import { dayAfter, dayOf, minuteOfDay, weekdayOf } from '@/core/measure/time'
import { type Measuring } from '@/core/measure/units'
import { type Amount, sumAmounts } from '@/core/plan/amounts'
import { layOut, listShared } from '@/core/plan/timeline'
import type { Product } from '@/core/stock/product'
import { productFor } from '@/core/stock/product'
import { stepTitle } from '@/words/craft'
import { amountWords } from '@/words/measure'
import { capital } from '@/words/text'
import { dayWords, hoursOfWork, hoursWords, minuteWords } from '@/words/time'

export const metadata = { title: 'Its way' }

export default async function WayPage({ params }: { params: Promise<{ id: string }> }) {
  const { studio, journey, nowMs } = await getPieceView(params)
  const products = await loadProducts()
  const { piece } = journey.file
  const now = new Date(nowMs).toISOString()
  const today = dayOf(now, studio.zone)
  const startAt = minuteOfDay(now, studio.zone)
  const parts = journey.parts.map(({ part, steps, window }) => ({
    id: part.id,
    kind: part.kind,
    steps: steps.filter(({ state }) => isAhead(state)).map(({ step }) => step),
    readyAt: startAt + Math.max(0, window?.times.opens ? (Date.parse(window.times.opens) - nowMs) / 60_000 : 0),
  }))
  const { slots, attendedMinutes, savedMinutes, days, awkward } = layOut(parts, studio.hours, startAt, weekdayOf(today))
  const named = new Map(journey.parts.map(({ part }) => [part.id, part.name]))
  const byDay = [...new Set(slots.map(({ start }) => Math.floor(start / 1440)))].map((index) => ({
    index,
    slots: slots.filter(({ start }) => Math.floor(start / 1440) === index),
  }))
  const shared = listShared(slots, parts)
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
            <span className="figure mr-1.5 text-6xl">{hoursWords(Math.round(attendedMinutes / 6) / 10, studio)}</span>{' '}
            <span className="text-xl text-soft">
              of work over {days === 1 ? 'one day' : `${days} days`}; one painter, {hoursOfWork(studio.hours, studio)}
              {savedMinutes > 0 ? `; ${savedMinutes} min saved by working alike parts together` : ''}
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
                    {dayWords(dayAfter(today, day.index), studio)}
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
                            <span className="figure text-2xl">{minuteWords(start % 1440, studio)}</span>
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
            <div className="space-y-10">
              <Takes amounts={amounts} products={products} house={studio} />
              {shared.length > 0 && <InOneGo shared={shared} nameOf={(id) => named.get(id)?.toLowerCase()} />}
            </div>
          </div>
        </>
      )}
    </div>
  )
}

/** What it takes of the shelf, and what is not there. */
function Takes({ amounts, products, house }: { amounts: readonly Amount[]; products: readonly Product[]; house: Measuring }) {
  return (
    <section aria-labelledby="takes" className="border-t-2 border-ink pt-3">
      <h2 id="takes" className="title text-3xl">
        It takes
      </h2>
      <ul className="mt-1">
        {amounts.map(({ family, hex, name, amount }) => {
          const tin = productFor(products, family, hex)
          const said = amountWords(family, amount, house)
          return (
            <li key={`${family} ${hex}`} className="flex items-center justify-between gap-4 border-b border-line py-2">
              <span>
                <span className="font-semibold">{name ?? capital(getFamily(family).words)}</span>
                {name && <span className="text-soft"> {getFamily(family).words}</span>}
                {!tin && <span className="block font-semibold text-late">not on the shelf</span>}
                {tin && tin.size < amount && (
                  <span className="block font-semibold text-late">
                    more than one tin of {formatAmount(tin.size, tin.unit, house)}
                  </span>
                )}
              </span>
              <span className="figure text-2xl">{said}</span>
            </li>
          )
        })}
      </ul>
    </section>
  )
}

/** What alike parts share. */
function InOneGo({ shared, nameOf }: { shared: ReturnType<typeof listShared>; nameOf: (id: PartId) => string | undefined }) {
  return (
    <section aria-labelledby="shared" className="border-t-2 border-ink pt-3">
      <h2 id="shared" className="title text-3xl">
        In one go
      </h2>
      <p className="text-soft">One set-up, one mix, one clean-up. Undersides come before tops.</p>
      <ul className="mt-1">
        {shared.map(({ step, partIds, savedMinutes: saved }) => (
          <li
            key={`${stepTitle(step)} ${partIds.join()}`}
            className="flex items-baseline justify-between gap-4 border-b border-line py-2"
          >
            <span>
              <span className="font-semibold">{stepTitle(step)}</span>{' '}
              <span className="text-soft">{partIds.map(nameOf).join(', ')}</span>
            </span>
            <span className="text-soft">{saved} min saved</span>
          </li>
        ))}
      </ul>
    </section>
  )
}
