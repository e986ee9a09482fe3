'use client'
/** What if: somebody is away, it gets damp, one more piece comes in, a client waits, we stay longer. */
import { useState } from 'react'
import { dayAfter, dayOf } from '@/core/measure/time'
import type { WeekOutlook } from '@/core/week/ask'
import type { OtherDay } from '@/core/week/hands'
import type { WeekData } from '@/core/week/weekData'
import { ChoiceField } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { minuteText, promiseWords, shortDayWords } from '@/words/time'
import type { Thought, Week } from './useWeek'

const damp = { temperature: 14, humidity: 80 }
const daysShown = 7

export function WhatIf({ week, data, outlook, nowMs }: { week: Week; data: WeekData; outlook: WeekOutlook; nowMs: number }) {
  const house = useHouse()
  const today = dayOf(new Date(nowMs).toISOString(), house.zone)
  const [day, setDay] = useState(today)
  const [who, setWho] = useState(data.hands[0]?.id ?? '')
  const [pieceId, setPieceId] = useState(outlook.pieces[0]?.pieceId ?? '')
  const days = Array.from({ length: daysShown }, (_, k) => dayAfter(today, k)).map(
    (each) => [each, `${promiseWords(each, today, house)}, ${shortDayWords(each, house, true)}`] as const,
  )
  const piece = outlook.pieces.find((each) => each.pieceId === pieceId) ?? outlook.pieces[0]
  const hand = data.hands.find(({ id }) => (id ?? '') === who) ?? data.hands[0]
  const suppose = (key: string, words: string, over: Omit<Thought, 'key' | 'words' | 'pins'>, takeable = true) =>
    week.think({ key: `${key} ${day} ${who} ${pieceId}`, words, ...over, pins: takeable ? week.pins : null })
  const dayWords = promiseWords(day, today, house)
  const staying = (): OtherDay[] =>
    data.hands.map(({ id, hours }) => ({ day, personId: id, hours: { from: hours.from, to: Math.min(1440, hours.to + 120) } }))
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
        <button
          type="button"
          className="press"
          onClick={() => {
            const personId = data.hands.length > 1 ? (hand?.id ?? null) : null
            suppose('away', `${hand?.name ?? 'Nobody works'}${hand?.name ? ' away' : ''} ${dayWords}`, {
              supposed: { others: [{ day, personId, hours: null }] },
              days: [{ day, personId, kind: 'away', from: '', to: '' }],
            })
          }}
        >
          {hand?.name ? `${hand.name} is away` : 'Nobody works'}
        </button>
        <button
          type="button"
          className="press"
          onClick={() => {
            const longer = staying()
            suppose('stay', `Two hours longer ${dayWords}`, {
              supposed: { others: longer },
              days: longer.flatMap(({ hours, personId }) =>
                hours ? [{ day, personId, kind: 'hours' as const, from: minuteText(hours.from), to: minuteText(hours.to) }] : [],
              ),
            })
          }}
        >
          We stay two hours longer
        </button>
        <button
          type="button"
          className="press"
          onClick={() => suppose('damp', 'It gets cold and damp, 14 °C and 80 %', { supposed: { air: damp } }, false)}
        >
          It gets cold and damp
        </button>
        {piece && (
          <>
            <button
              type="button"
              className="press"
              onClick={() =>
                suppose(
                  'like',
                  `One more like the ${piece.name.toLowerCase()}`,
                  { supposed: { like: { pieceId: piece.pieceId, promisedOn: null } } },
                  false,
                )
              }
            >
              One more like this comes in
            </button>
            <button
              type="button"
              className="press"
              onClick={() =>
                suppose(
                  'rush',
                  `One more like the ${piece.name.toLowerCase()}, in a hurry`,
                  { supposed: { like: { pieceId: piece.pieceId, promisedOn: dayAfter(today, 3) } } },
                  false,
                )
              }
            >
              …in a hurry
            </button>
            {piece.promisedOn && (
              <button
                type="button"
                className="press"
                onClick={() =>
                  suppose(
                    'wait',
                    `${piece.name} may be a week later`,
                    { supposed: { promised: { [piece.pieceId]: dayAfter(piece.promisedOn ?? today, 7) } } },
                    false,
                  )
                }
              >
                It may be a week later
              </button>
            )}
          </>
        )}
      </div>
    </section>
  )
}
