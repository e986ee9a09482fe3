/** Where a window can't be kept: the smallest change that would keep it, sought among what people do. Pure; time is told. */
import type { Day, PersonId, StepId } from '@/core/measure/named'
import { dayAfter, dayOf } from '@/core/measure/time'
import { stayLonger } from '@/core/measure/workingHours'
import { answerWeek, journeysOf, type OutlookLine, type WeekAnswer, type WeekAsk } from './ask'
import { hoursOn, type OtherDay } from './hands'
import type { Supposed } from './weekData'

/** From the smallest on: an hour more of a day at its end or its beginning, other hands, a day that is not worked. */
export type WayToKeep =
  | { kind: 'longer' | 'earlier'; day: Day; personId: PersonId | null; minutes: number; other: OtherDay }
  | { kind: 'given'; personId: PersonId }
  | { kind: 'day'; day: Day; personId: PersonId | null; other: OtherDay }

const hour = 60
const budgetMs = 120

export interface Step {
  stepId: StepId
  side: 1 | 2 | null
}
const isStep =
  ({ stepId, side }: Step) =>
  (line: OutlookLine) =>
    line.step?.id === stepId && (line.side ?? null) === side

/** The ways there are, the smallest first. `closes`: when the window does, ms. */
export function waysToKeep({ data: { hands, zone, others } }: Pick<WeekAsk, 'data'>, hand: number, closes: number): WayToKeep[] {
  const own = hands[hand]
  if (!own) return []
  const { id: personId } = own
  const last = dayOf(new Date(closes).toISOString(), zone)
  const days = [last, dayAfter(last, -1)]
  const worked = days.flatMap((day) => {
    const hours = hoursOn(own, others, day)
    return hours ? [{ day, ...hours }] : []
  })
  const stay = (minutes: number) =>
    worked.map(({ day, from, to }): WayToKeep => {
      const hours = stayLonger({ from, to }, minutes)
      return { kind: 'longer', day, personId, minutes, other: { day, personId, hours } }
    })
  const begin = worked.map(({ day, from, to }): WayToKeep => {
    const hours = { from: Math.max(0, from - hour), to }
    return { kind: 'earlier', day, personId, minutes: hour, other: { day, personId, hours } }
  })
  const given = hands.flatMap(({ id }): WayToKeep[] => (id === null || id === personId ? [] : [{ kind: 'given', personId: id }]))
  const { from, to } = own.hours
  const more = days
    .filter((day) => !worked.some((each) => each.day === day))
    .map((day): WayToKeep => ({ kind: 'day', day, personId, other: { day, personId, hours: { from, to } } }))
  return [...stay(hour), ...begin, ...given, ...stay(2 * hour), ...more]
}

/** What is supposed with a way. */
export function supposedBy(way: WayToKeep, step: Step, { supposed, data }: Pick<WeekAsk, 'supposed' | 'data'>): Supposed {
  if (way.kind !== 'given') return { ...supposed, others: [way.other, ...(supposed.others ?? [])] }
  const pins = (supposed.pins ?? data.week?.pins ?? []).filter((pin) => pin.stepId !== step.stepId || pin.side !== step.side)
  return { ...supposed, pins: [...pins, { ...step, at: null, personId: way.personId }] }
}

/** A way by which a window is kept, with the week as it is and as it would be. */
export interface KeptWindow {
  way: WayToKeep
  now: WeekAnswer
  then: WeekAnswer
}

const missedIn = (answer: WeekAnswer): OutlookLine[] | null =>
  'outlook' in answer ? answer.outlook.lines.filter(({ missed }) => missed) : null

/**
 * The first way by which a step's window is kept and no other is missed for it; null where none of them does. `clock` makes a stopwatch,
 * one for each way that is tried.
 */
export function smallestChange(ask: WeekAsk, step: Step, clock: () => () => number): KeptWindow | null {
  const quick = { ...ask, budgetMs, weeks: 0 }
  const journeys = journeysOf(ask)
  const now = answerWeek(quick, clock(), { journeys })
  const line = missedIn(now)?.find(isStep(step))
  const count = missedIn(now)?.length ?? 0
  if (!line || line.byMs === null) return null
  for (const way of waysToKeep(ask, line.hand, line.byMs)) {
    const answer = answerWeek({ ...quick, supposed: supposedBy(way, step, ask) }, clock(), { journeys })
    const missed = missedIn(answer)
    if (missed && missed.length < count && !missed.some(isStep(step))) return { way, now, then: answer }
  }
  return null
}
