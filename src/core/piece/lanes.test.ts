/** The work around the paint: what waits for what at the bench and in the days, and when a piece is ready. */
import { expect, test } from 'vitest'
import { referenceAir } from '@/core/drying/air'
import type { Entry } from '@/core/log/entry'
import { usualHours } from '@/core/measure/workingHours'
import { jobPlanStep, type JobStep } from '@/core/plan/job'
import { at, entry, fileWith, ms, partWith, planStep, worked } from '@/core/testing/piece'
import { daysAhead } from './daysAhead'
import { readPiece } from './journey'
import { heldBy } from './lanes'
import { concernsOf } from './leaving'
import type { PlanStep } from './piece'

const job = (id: string, step: Pick<JobStep, 'operation' | 'side' | 'minutes'>): PlanStep => ({
  ...jobPlanStep({ words: null, ...step }, false),
  id,
  position: 0,
})
const around = [
  job('apart', { operation: 'take-apart', side: 'before', minutes: 15 }),
  job('glue', { operation: 'glue', side: 'before', minutes: 15 }),
  job('together', { operation: 'reassemble', side: 'after', minutes: 30 }),
]
const whole = partWith(around, { id: 'whole', name: 'The whole piece', kind: 'other' })
const plan = whole.plan && { ...whole.plan, care: 'job' as const }
const coat = planStep('coat', { minutes: 20 })
const on = (stepId: string, from: string, to: string, day = 4): Entry[] => [
  entry('started', at(from, day), { partId: 'whole', stepId }),
  entry('ended', at(to, day), { partId: 'whole', stepId }),
]
function read(log: Entry[], time: string, day = 4) {
  const file = { ...fileWith([partWith([coat])], log), whole: { ...whole, plan } }
  const nowMs = ms(time, day)
  const journey = readPiece(file, { climate: [], nowMs })
  const [top] = journey.parts
  if (!top || !journey.whole) throw new Error('no part')
  const { slots, days } = daysAhead(journey, { nowMs, zone: 'UTC', hours: usualHours, air: referenceAir, learned: {} })
  return {
    journey,
    days,
    held: [heldBy(journey, top), heldBy(journey, journey.whole)],
    laid: slots.map(
      ({ partId, start }) =>
        `${partId} ${Math.floor(start / 1440)} ${Math.floor((start % 1440) / 60)}:${String(start % 60).padStart(2, '0')}`,
    ),
  }
}

test('apart and glued first, a night for the glue, then the paint, a day for it, then together', () => {
  const { held, laid, days, journey } = read([], '09:00')
  expect(held).toEqual(['whole-first', null])
  // glued until 9:30, twelve hours on is 21:30: the coat at nine, together a day after its end
  expect(laid).toEqual(['whole 0 9:00', 'whole 0 9:15', 'part 1 9:00', 'whole 2 9:20'])
  expect(days).toBe(3)
  expect([journey.minutesLeft, journey.stage]).toEqual([80, 'just-in'])
})
test('while the glue sets no part is offered; then the paint is, and the rest waits for it', () => {
  const glued = [...on('apart', '09:00', '09:15'), ...on('glue', '09:15', '09:30')]
  expect(read(glued, '12:00').held).toEqual(['whole-first', 'paint-first'])
  expect(read(glued, '22:00').held).toEqual([null, 'paint-first'])
  const painted = [...glued, ...worked('coat', '22:00', '22:20')]
  expect(read(painted, '23:00').held).toEqual([null, 'paint-first'])
  const dry = read(painted, '22:30', 5)
  expect([dry.held, dry.laid]).toEqual([[null, null], ['whole 1 9:00']])
  expect(dry.journey.stage).toBe('under-way')
  expect(concernsOf(dry.journey)).toContainEqual({ code: 'steps-ahead', part: 'The whole piece', count: 1 })
})
test('a part that was begun before goes on beside it', () => {
  const again = planStep('again', { minutes: 20 })
  const file = { ...fileWith([partWith([coat, again])], worked('coat', '09:00', '09:20')), whole: { ...whole, plan } }
  const journey = readPiece(file, { climate: [], nowMs: ms('12:00') })
  expect(journey.parts.map((part) => heldBy(journey, part))).toEqual([null])
})
test('what stays untouched is done from the day it was said, and takes no part in the care', () => {
  const stays = partWith([], { id: 'stays' })
  const file = fileWith([{ ...stays, plan: stays.plan && { ...stays.plan, care: 'untouched' } }], [])
  const journey = readPiece(file, { climate: [], nowMs: ms('12:00') })
  expect(journey.parts[0]).toMatchObject({ finishedAt: at('08:00'), use: null })
  expect(journey.stage).toBe('ready')
})
