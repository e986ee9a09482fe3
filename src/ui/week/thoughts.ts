/** What may be thought of: somebody away, longer hours, other air, one more piece, a client who waits. Each in words, and what it supposes. */
import type { Forecast } from '@/core/climate/airAhead'
import type { Air } from '@/core/drying/air'
import type { Day, PieceId } from '@/core/measure/named'
import { dayAfter } from '@/core/measure/time'
import { stayLonger } from '@/core/measure/workingHours'
import type { OutlookLine, PieceOutlook } from '@/core/week/ask'
import { type Hand, hoursOn, type OtherDay } from '@/core/week/hands'
import type { WayToKeep } from '@/core/week/keep'
import type { Pin } from '@/core/week/place'
import type { Supposed } from '@/core/week/weekData'
import { minuteText } from '@/words/time'
import { placeTitle } from '@/words/week'

/** A change that is thought of: what is supposed, in words, and what taking it means. */
export interface Thought {
  key: string
  words: string
  supposed: Supposed
  /** pins of the plan that is kept with it; null where it can't be taken */
  pins: Pin[] | null
  /** what is said with it */
  says?: Partial<Said>
}
/** What is said with a plan that is taken. */
export interface Said {
  days: DayWanted[]
  forecasts: (Omit<Forecast, 'id' | 'air'> & { air: Air })[]
  /** forecasts that hold no more */
  takenBack: string[]
  promises: { pieceId: PieceId; day: Day }[]
}
export const nothingSaid: Said = { days: [], forecasts: [], takenBack: [], promises: [] }
/** A day as it is to be said: hours as a clock shows them. */
export interface DayWanted {
  day: Day
  personId: string | null
  from: string
  to: string
  kind: 'away' | 'hours' | 'usual'
}

interface Around {
  today: Day
  day: Day
  /** as it is said: today, tomorrow, Thursday */
  dayWords: string
  hand: Hand | undefined
  hands: readonly Hand[]
  /** days that are other than usual already */
  said: readonly OtherDay[]
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
  const { day, dayWords, hand, hands, said, piece, today, pins } = around
  const key = `${day} ${hand?.id ?? ''} ${piece?.pieceId ?? ''}`
  const offer = (label: string, words: string, over: Omit<Thought, 'key' | 'words'>): Offer => ({
    label,
    thought: { key: `${label} ${key}`, words, ...over },
  })
  const personId = hands.length > 1 ? (hand?.id ?? null) : null
  /** hours that are said for a day, and what is supposed with them */
  const withHours = (all: readonly { id: string | null; from: number; to: number }[]) => ({
    supposed: { others: all.map(({ id, from, to }) => ({ day, personId: id, hours: { from, to } })) },
    says: {
      days: all.map(({ id, from, to }) => ({
        ...{ day, personId: id, kind: 'hours' as const },
        from: minuteText(from),
        to: minuteText(to),
      })),
    },
    pins,
  })
  const works = hand && hoursOn(hand, said, day)
  const dampWeek = { roomId: null, from: day, to: dayAfter(day, 6), air: damp }
  const longer = hands.flatMap((each) => {
    const hours = hoursOn(each, said, day)
    return hours ? [{ id: each.id, ...stayLonger(hours, longerBy) }] : []
  })
  const name = hand?.name ?? null
  return [
    works
      ? offer(name ? `${name} is away` : 'Nobody works', `${name ? `${name} away` : 'Nobody works'} ${dayWords}`, {
          supposed: { others: [{ day, personId, hours: null }] },
          says: { days: [{ day, personId, kind: 'away', from: '', to: '' }] },
          pins,
        })
      : offer(
          name ? `${name} works that day` : 'We work that day',
          `${name ? `${name} works` : 'We work'} ${dayWords}`,
          withHours(hand ? [{ id: personId, from: hand.hours.from, to: hand.hours.to }] : []),
        ),
    ...(longer.length > 0 ? [offer('We stay two hours longer', `Two hours longer ${dayWords}`, withHours(longer))] : []),
    offer('It gets cold and damp', `Cold and damp for a week from ${dayWords} on, 14 °C and 80 %`, {
      supposed: { forecasts: [{ id: '', ...dampWeek }] },
      says: { forecasts: [dampWeek] },
      pins,
    }),
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
              says: { promises: [{ pieceId, day: dayAfter(promisedOn, 7) }] },
              pins,
            }),
          ]
        : []),
    ]
  }
}

/** A day as on any such day again. `days`: those that were said otherwise. */
export function usualAgain({ day, personId }: OtherDay, days: readonly OtherDay[], pins: Pin[], words: string): Thought {
  const left = days.filter((each) => each.day !== day || each.personId !== personId)
  const again = { day, personId, kind: 'usual' as const, from: '', to: '' }
  return { key: `usual ${day} ${personId}`, words, supposed: { said: left }, says: { days: [again] }, pins }
}

interface SaidNow {
  others: readonly OtherDay[]
  forecasts: readonly Forecast[]
  pieces: readonly PieceOutlook[]
  /** the forecasts that were said with the plan */
  told: readonly { id: string }[]
}
/** What is said now of all that a plan says, to come back to it. */
export const asItWas = (says: Said, { others, forecasts, pieces, told }: SaidNow): Said => ({
  days: says.days.map((day) => asSaid(day, others)),
  forecasts: forecasts.flatMap(({ air, ...each }) => (air && says.takenBack.includes(each.id) ? [{ ...each, air }] : [])),
  takenBack: told.map(({ id }) => id),
  promises: says.promises.flatMap(({ pieceId }) => {
    const day = pieces.find((piece) => piece.pieceId === pieceId)?.promisedOn
    return day ? [{ pieceId, day }] : []
  }),
})
function asSaid({ day, personId }: Pick<DayWanted, 'day' | 'personId'>, said: readonly OtherDay[]): DayWanted {
  const now = said.find((each) => each.day === day && each.personId === personId)
  if (!now) return { day, personId, kind: 'usual', from: '', to: '' }
  if (!now.hours) return { day, personId, kind: 'away', from: '', to: '' }
  return { day, personId, kind: 'hours', from: minuteText(now.hours.from), to: minuteText(now.hours.to) }
}

const others = ({ step, side }: OutlookLine, pins: readonly Pin[]) =>
  pins.filter((pin) => pin.stepId !== step?.id || pin.side !== (side ?? null))

/** A step held at a moment, to the grid of the week. */
export function moved(line: OutlookLine, pins: readonly Pin[], ms: number, words: string): Thought {
  const at = Math.round(ms / 300_000) * 300_000
  const held = [...others(line, pins), { stepId: line.step?.id ?? '', side: line.side ?? null, at, personId: null }]
  return { key: `move ${line.key} ${at}`, words, supposed: { pins: held }, pins: held }
}
export function letGo(line: OutlookLine, pins: readonly Pin[]): Thought {
  const held = others(line, pins)
  return { key: `free ${line.key}`, words: `${placeTitle(line)} wherever it is best`, supposed: { pins: held }, pins: held }
}
export function given(line: OutlookLine, pins: readonly Pin[], personId: string, words: string): Thought {
  const held = [...others(line, pins), { stepId: line.step?.id ?? '', side: line.side ?? null, at: null, personId }]
  return { key: `give ${line.key} ${personId}`, words, supposed: { pins: held }, pins: held }
}

interface Found {
  line: OutlookLine
  way: WayToKeep
  supposed: Supposed
  hands: readonly Hand[]
  pins: Pin[]
  dayWords: string
}
/** A way to keep a window, as a change that is thought of. */
export function keeping({ line, way, supposed, hands, pins, dayWords }: Found): Thought {
  const name = hands.length > 1 ? hands.find(({ id }) => id !== null && id === way.personId)?.name : null
  const does = (one: string, many: string) => (name ? `${name} ${one}` : `We ${many}`)
  const words = {
    longer: `${does('stays', 'stay')} ${way.kind === 'longer' && way.minutes > 60 ? 'two hours' : 'an hour'} longer ${dayWords}`,
    earlier: `${does('begins', 'begin')} an hour earlier ${dayWords}`,
    given: `${placeTitle(line)} by ${name ?? 'somebody else'}`,
    day: `${does('works', 'work')} ${dayWords} too`,
  }[way.kind]
  const made: Thought = { key: `keep ${line.key}`, words, supposed, pins: [...(supposed.pins ?? pins)] }
  if (way.kind === 'given' || !way.other.hours) return made
  const { from, to } = way.other.hours
  return {
    ...made,
    says: { days: [{ day: way.day, personId: way.personId, kind: 'hours', from: minuteText(from), to: minuteText(to) }] },
  }
}
