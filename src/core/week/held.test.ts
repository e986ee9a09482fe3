import { describe, expect, test } from 'vitest'
import { toBenchData } from '@/core/bench/writeBench'
import { defaultMethod } from '@/core/craft/method'
import { fileWith, ms, partWith, planStep } from '@/core/testing/piece'
import { answerWeek } from './ask'
import type { Hand } from './hands'
import { isWorked, lostBy, notHeld } from './held'
import type { Pin } from './place'

/** Nine to noon, on weekdays; the other on Tuesdays alone. */
const wenna: Hand = { id: 'a', name: 'Wenna', hours: { from: 540, to: 720, days: [1, 2, 3, 4, 5] } }
const pell: Hand = { id: 'b', name: 'Pell', hours: { from: 540, to: 720, days: [2] } }
const hands = [wenna, pell]
/** Monday at eight: two parts of a piece, a coat each. */
const outlookOf = (pins: Pin[]) => {
  const parts = ['one', 'two'].map((id) => partWith([planStep(id, { minutes: 30, window: null })]))
  const bench = toBenchData([fileWith(parts, [])], {
    ...{ climates: {}, rooms: [], method: defaultMethod, hours: wenna.hours, others: [], learned: {} },
    ...{ products: [], lots: [], planned: {}, waiting: [] },
  })
  const data = { bench, zone: 'UTC', hands, others: [], places: null, expected: {}, forecasts: [], pace: {}, week: null }
  let spent = 0
  const answer = answerWeek(
    { data, ...{ written: [], nowMs: ms('08:00'), supposed: { pins }, from: [], budgetMs: 40, seed: 1, weeks: 0 } },
    () => (spent += 2),
  )
  if (!('outlook' in answer)) throw new Error('no week')
  return answer.outlook
}
const at = (stepId: string, time: string): Pin => ({ stepId: stepId, side: null, at: ms(time), personId: null })
const by = (stepId: string, personId: string): Pin => ({
  ...{ stepId: stepId, side: null, at: null, personId: personId },
})

describe('what a step is held to', () => {
  test('is kept within working hours, and is not at their end', () => {
    expect(notHeld(outlookOf([at('one', '10:30')]), [at('one', '10:30')], hands)).toEqual([])
    expect(notHeld(outlookOf([at('one', '12:00')]), [at('one', '12:00')], hands)).toEqual([at('one', '12:00')])
    expect(notHeld(outlookOf([by('one', 'a')]), [by('one', 'a')], hands)).toEqual([])
    // in the other's hands it waits for Tuesday
    expect(notHeld(outlookOf([by('one', 'b')]), [by('one', 'b')], hands)).toEqual([])
    expect(notHeld(outlookOf([]), [by('one', 'b')], hands)).toEqual([by('one', 'b')])
    // a step that is done, or of another piece, is held to nothing
    expect(notHeld(outlookOf([]), [at('gone', '12:00')], hands)).toEqual([])
  })
  test('a wish that nobody can keep is told apart from what has to give way for it', () => {
    const before = [at('one', '10:00')]
    const lostTo = (wish: Pin) => {
      const wished = [...before, wish]
      return lostBy({ now: outlookOf(before), then: outlookOf(wished) }, { before, wished }, hands)
    }
    expect(lostTo(at('two', '11:00'))).toEqual({ asked: [], kept: [] })
    expect(lostTo(at('two', '12:00'))).toEqual({ asked: [at('two', '12:00')], kept: [] })
    // one pair of hands on Mondays: one of the two gives way
    const { asked, kept } = lostTo(at('two', '10:00'))
    expect(asked.length + kept.length).toBe(1)
  })
  test('what was not kept before is no loss of the wish', () => {
    const before = [at('one', '12:00')]
    const wished = [...before, at('two', '11:00')]
    expect(lostBy({ now: outlookOf(before), then: outlookOf(wished) }, { before, wished }, hands)).toEqual({
      asked: [],
      kept: [],
    })
  })
})

describe('whether anybody works', () => {
  const others = [
    { day: '2026-03-03', personId: null, hours: { from: 1320, to: 1500 } },
    { day: '2026-03-03', personId: 'b', hours: null },
    { day: '2026-03-05', personId: null, hours: null },
  ]
  test.each([
    ['the minute the hours begin', '2026-03-04T09:00Z', true],
    ['a minute before', '2026-03-04T08:59Z', false],
    ['the minute they end', '2026-03-04T12:00Z', false],
    ['on a day said otherwise, in its usual hours', '2026-03-03T10:00Z', false],
    ['over midnight', '2026-03-04T00:59Z', true],
    ['when that night’s work is over', '2026-03-04T01:00Z', false],
    ['on a day on which nobody works', '2026-03-05T10:00Z', false],
    ['on a Saturday', '2026-03-07T10:00Z', false],
  ])('%s', (_, moment, worked) => expect(isWorked(Date.parse(moment), { hands, others, zone: 'UTC' })).toBe(worked))
  test('by the clock of the studio', () => {
    // an hour ahead in July
    const at = (moment: string) => isWorked(Date.parse(moment), { hands, others, zone: 'Europe/London' })
    expect([at('2026-07-01T08:00Z'), at('2026-07-01T11:30Z')]).toEqual([true, false])
  })
})
