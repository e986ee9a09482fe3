'use client'
/** What if: somebody is away, it gets damp, one more piece comes in, a client waits, we stay longer. */
import { useState } from 'react'
import type { Day } from '@/core/measure/named'
import { dayAfter, dayOf } from '@/core/measure/time'
import type { WeekOutlook } from '@/core/week/ask'
import { hoursOn } from '@/core/week/hands'
import type { WeekData } from '@/core/week/weekData'
import { ChoiceField } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { capital } from '@/words/text'
import { minuteWords, promiseWords, shortDayWords } from '@/words/time'
import { thoughtsOf, usualAgain } from './thoughts'
import type { Week } from './useWeek'

const daysShown = 7

export function WhatIf({ week, data, outlook, nowMs }: { week: Week; data: WeekData; outlook: WeekOutlook; nowMs: number }) {
  const house = useHouse()
  const today = dayOf(new Date(nowMs).toISOString(), house.zone)
  const shown = Array.from({ length: daysShown }, (_, k) => dayAfter(today, k))
  // somebody who is off today is no question: it begins with the next day of work
  const [day, setDay] = useState(() => shown.find((each) => data.hands[0] && hoursOn(data.hands[0], data.others, each)) ?? today)
  const [who, setWho] = useState(data.hands[0]?.id ?? '')
  const [pieceId, setPieceId] = useState(outlook.pieces[0]?.pieceId ?? '')
  const days = shown.map((each) => [each, `${promiseWords(each, today, house)}, ${shortDayWords(each, house, true)}`] as const)
  const piece = outlook.pieces.find((each) => each.pieceId === pieceId) ?? outlook.pieces[0]
  const hand = data.hands.find(({ id }) => (id ?? '') === who) ?? data.hands[0]
  const offers = thoughtsOf({
    today,
    day,
    dayWords: promiseWords(day, today, house),
    hand,
    hands: data.hands,
    said: data.others,
    piece,
    pins: week.pins,
  })
  return (
    <section aria-labelledby="what-if" className="border-t-2 border-ink pt-3">
      <h2 id="what-if" className="title text-3xl">
        What if
      </h2>
      <div className="mt-3 grid grid-cols-2 gap-4">
        <ChoiceField label="The day" value={day} onChange={(event) => setDay(event.target.value)} options={days} />
        {data.hands.length > 1 && (
          <ChoiceField
            label="Whose hands"
            value={who}
            onChange={(event) => setWho(event.target.value)}
            options={data.hands.map(({ id, name }) => [id ?? '', name ?? ''] as const)}
          />
        )}
        <ChoiceField
          label="The piece"
          value={piece?.pieceId ?? ''}
          onChange={(event) => setPieceId(event.target.value)}
          options={outlook.pieces.map((each) => [each.pieceId, each.name] as const)}
          className="col-span-2"
        />
      </div>
      <div className="mt-4 flex flex-wrap gap-2">
        {offers.map(({ label, thought }) => (
          <button key={label} type="button" className="press" onClick={() => week.think(thought)}>
            {label}
          </button>
        ))}
      </div>
      <SaidDays week={week} data={data} today={today} />
    </section>
  )
}

/** Days that were said otherwise, each to be taken back. */
function SaidDays({ week, data, today }: { week: Week; data: WeekData; today: Day }) {
  const house = useHouse()
  const ahead = data.others.filter(({ day }) => day >= today).sort((a, b) => a.day.localeCompare(b.day))
  if (ahead.length === 0) return null
  return (
    <>
      <h3 className="mt-6 text-lg font-semibold">Days that are other than usual</h3>
      <ul>
        {ahead.map((other) => {
          const name = data.hands.find(({ id }) => id !== null && id === other.personId)?.name ?? 'All'
          const what = other.hours ? `${minuteWords(other.hours.from, house)} to ${minuteWords(other.hours.to, house)}` : 'away'
          const words = `${capital(promiseWords(other.day, today, house))}: ${name} as usual again`
          return (
            <li
              key={`${other.day} ${other.personId}`}
              className="flex flex-wrap items-center justify-between gap-3 border-b border-line py-2"
            >
              <span className="text-lg">
                {capital(promiseWords(other.day, today, house))}, {shortDayWords(other.day, house, true)}: {name} {what}
              </span>
              <button
                type="button"
                className="press"
                onClick={() => week.think(usualAgain(other, data.others, week.pins, words))}
              >
                As usual again
              </button>
            </li>
          )
        })}
      </ul>
    </>
  )
}
