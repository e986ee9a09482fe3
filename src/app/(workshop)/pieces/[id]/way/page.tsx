/** The way still ahead of a piece: every part's steps in one painter's days, and what they take from the shelf. */
import { getPieceView, loadProducts } from '@/app/_server/load'
import { getFamily } from '@/core/craft/families'
import { getRemedy } from '@/core/craft/remedies'
import { referenceAir } from '@/core/drying/air'
import { formatAmount } from '@/core/measure/amount'
import type { PartId } from '@/core/measure/named'
import type { Writing } from '@/core/measure/number'
import { dayAfter, dayOf } from '@/core/measure/time'
import type { Measuring } from '@/core/measure/units'
import { daysAhead } from '@/core/piece/daysAhead'
import type { Journey, PartJourney } from '@/core/piece/journey'
import { lanesOf } from '@/core/piece/lanes'
import type { PlanStep } from '@/core/piece/piece'
import { type Amount, sumAmounts } from '@/core/plan/amounts'
import { remedyOf } from '@/core/plan/missed'
import { listShared } from '@/core/plan/sharedWork'
import type { Slotted } from '@/core/plan/timeline'
import { type Product, productFor } from '@/core/stock/product'
import { Link } from '@/ui/frame/Link'
import { stepTitle } from '@/words/craft'
import { airWords, amountWords } from '@/words/measure'
import { capital } from '@/words/text'
import { dayWords, hoursOfWork, hoursWords, minuteWords } from '@/words/time'

export const metadata = { title: 'Its way' }

export default async function WayPage({ params }: { params: Promise<{ id: string }> }) {
  const [{ studio, journey, nowMs, air, around }, products] = await Promise.all([getPieceView(params), loadProducts()])
  const { piece } = journey.file
  const today = dayOf(new Date(nowMs).toISOString(), studio.zone)
  const { zone, hours } = studio
  const reckonedIn = air ?? referenceAir
  const { parts, slots, stuck, attendedMinutes, savedMinutes, days, awkward } = daysAhead(journey, {
    nowMs,
    zone,
    hours,
    air: reckonedIn,
    learned: around.learned ?? {},
  })
  const standing = new Map(lanesOf(journey).map((part, k) => [part.part.id, { part, ahead: parts[k] }]))
  const nameOf = (id: PartId) => standing.get(id)?.part.part.name
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
      {slots.length === 0 && stuck.length === 0 ? (
        <p className="mt-4 text-xl">{nothingAhead(journey)}</p>
      ) : (
        <>
          {slots.length > 0 && (
            <p className="mt-3">
              <span className="figure mr-1.5 text-6xl">{hoursWords(Math.round(attendedMinutes / 6) / 10, studio)}</span>{' '}
              <span className="text-xl text-soft">
                of work over {days === 1 ? 'one day' : `${days} days`}; one painter, {hoursOfWork(hours, studio)}
                {savedMinutes > 0 ? `; ${savedMinutes} min saved by working alike parts together` : ''}
              </span>
            </p>
          )}
          <p className="mt-1 text-soft">
            In the air of {air ? 'now' : 'an ordinary room'}, {airWords(reckonedIn, studio)}.
          </p>
          {stuck.map(({ partId }) => (
            <p key={partId} className="mt-3 border-l-4 border-late pl-3 font-semibold">
              {nameOf(partId)}: too cold to dry. What comes then can’t be told a day; warm the room to 10 °C at least.
            </p>
          ))}
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
                    {day.slots.map((slot) => {
                      const { part, ahead } = standing.get(slot.partId) ?? {}
                      const step = ahead?.steps[slot.index]
                      return (
                        step &&
                        part && (
                          <SlotLine
                            key={`${step.id} ${slot.side ?? ''}`}
                            {...{ slot, step, part }}
                            runs={slot.index === 0 && ahead?.worked !== undefined}
                            house={studio}
                          />
                        )
                      )
                    })}
                  </ol>
                </section>
              ))}
            </div>
            <div className="space-y-10">
              <Takes amounts={amounts} products={products} house={studio} />
              {shared.length > 0 && <InOneGo shared={shared} nameOf={(id) => nameOf(id)?.toLowerCase()} />}
            </div>
          </div>
        </>
      )}
    </div>
  )
}

function nothingAhead({ ending, parts }: Journey): string {
  if (ending) return 'It has left: nothing is ahead of it.'
  return parts.every(({ part }) => part.plan !== null)
    ? 'Nothing is ahead of it: every step is done.'
    : 'Nothing is ahead of it. Choose a finish for its parts, and their steps stand here in days.'
}

interface SlotProps {
  slot: Slotted
  step: PlanStep
  part: PartJourney
  /** its clock runs */
  runs: boolean
  house: Writing
}

const sideWords = { 1: 'first side', 2: 'turned, second side' } as const

/** One step at its hour, and what is wrong with its window. */
function SlotLine({ slot: { start, end, side, awkward, missed }, step, part: { part, window }, runs, house }: SlotProps) {
  const past = missed ? window?.label.past : undefined
  return (
    <li className="grid grid-cols-[5.5rem_1fr_auto] items-baseline gap-x-3 border-b border-line py-2">
      <span className="figure text-2xl">{runs ? 'now' : minuteWords(start % 1440, house)}</span>
      <span>
        <span className="font-semibold">{stepTitle(step)}</span>{' '}
        <span className="text-soft">{[part.name.toLowerCase(), side && sideWords[side]].filter(Boolean).join(', ')}</span>
        {awkward && !missed && <span className="block font-semibold text-late">its window closes while nobody works</span>}
        {missed && (
          <span className="block font-semibold text-late">
            its window has closed.{past && ` ${getRemedy(remedyOf[past]).remedy}`}
          </span>
        )}
      </span>
      <span className="text-soft">
        {end - start} min{runs && ' left'}
      </span>
    </li>
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
