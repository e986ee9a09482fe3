/** What may be thought of: somebody away, longer hours, other air, one more piece, a client who waits. Each in words, and what it supposes. */
import type { Day } from '@/core/measure/named'
import { dayAfter } from '@/core/measure/time'
import type { PieceOutlook } from '@/core/week/ask'
import type { Hand } from '@/core/week/hands'
import type { Pin } from '@/core/week/place'
import { minuteText } from '@/words/time'
import type { Thought } from './useWeek'

interface Around {
  today: Day
  day: Day
  /** as it is said: today, tomorrow, Thursday */
  dayWords: string
  hand: Hand | undefined
  hands: readonly Hand[]
  piece: PieceOutlook | undefined
  pins: Pin[]
}
interface Offer {
  label: string
  thought: Thought
}

/** Cold and damp, as a cellar in November. */
const damp = { temperature: 14, humidity: 80 }
const longerBy = 120
/** A hurry: so many days. */
const hurryDays = 3

export function thoughtsOf(around: Around): Offer[] {
  const { day, dayWords, hand, hands, piece, today, pins } = around
  const key = `${day} ${hand?.id ?? ''} ${piece?.pieceId ?? ''}`
  const offer = (label: string, words: string, over: Omit<Thought, 'key' | 'words'>): Offer => ({
    label,
    thought: { key: `${label} ${key}`, words, ...over },
  })
  const personId = hands.length > 1 ? (hand?.id ?? null) : null
  const longer = hands.map(({ id, hours }) => ({ id, from: hours.from, to: Math.min(1440, hours.to + longerBy) }))
  return [
    offer(
      hand?.name ? `${hand.name} is away` : 'Nobody works',
      `${hand?.name ? `${hand.name} away` : 'Nobody works'} ${dayWords}`,
      {
        supposed: { others: [{ day, personId, hours: null }] },
        days: [{ day, personId, kind: 'away', from: '', to: '' }],
        pins,
      },
    ),
    offer('We stay two hours longer', `Two hours longer ${dayWords}`, {
      supposed: { others: longer.map(({ id, from, to }) => ({ day, personId: id, hours: { from, to } })) },
      days: longer.map(({ id, from, to }) => ({ day, personId: id, kind: 'hours', from: minuteText(from), to: minuteText(to) })),
      pins,
    }),
    offer('It gets cold and damp', 'It gets cold and damp, 14 °C and 80 %', { supposed: { air: damp }, pins: null }),
    ...(piece ? ofPiece(piece) : []),
  ]

  function ofPiece({ pieceId, name, promisedOn }: PieceOutlook): Offer[] {
    const like = `One more like the ${name.toLowerCase()}`
    return [
      offer('One more like this comes in', like, { supposed: { like: { pieceId, promisedOn: null } }, pins: null }),
      offer('…in a hurry', `${like}, in a hurry`, {
        supposed: { like: { pieceId, promisedOn: dayAfter(today, hurryDays) } },
        pins: null,
      }),
      ...(promisedOn
        ? [
            offer('It may be a week later', `${name} may be a week later`, {
              supposed: { promised: { [pieceId]: dayAfter(promisedOn, 7) } },
              pins: null,
            }),
          ]
        : []),
    ]
  }
}
