import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { at, entry, ms, onStep } from '@/core/testing/piece'
import { correctedEntry, type Correction } from './correction'
import { effectiveLog, historyOf } from './effectiveLog'
import { type Entry, ofKind } from './entry'
import { stateOf, stepStates } from './stepStates'
import { workSpans, workStretches } from './workSpans'

describe('the log that counts', () => {
  const wrong = entry('cost', at('09:00'), { money: 4200, costKind: 'bought' })
  const right = entry('cost', at('09:00'), { money: 2400, costKind: 'bought', corrects: wrong.id })
  const righter = entry('cost', at('09:00'), { money: 2450, costKind: 'bought', corrects: right.id })

  test('a correction stands in place of what it corrects, and a correction of it in its place', () => {
    expect(ofKind(effectiveLog([wrong, right]), 'cost').map(({ money }) => money)).toEqual([2400])
    expect(ofKind(effectiveLog([wrong, right, righter]), 'cost').map(({ money }) => money)).toEqual([2450])
  })
  test('the whole history of an entry stays, newest first', () => {
    expect(ofKind(historyOf(righter, [wrong, right, righter]), 'cost').map(({ money }) => money)).toEqual([2400, 4200])
  })
  test('what was struck out is gone from what counts, with nothing in its place', () => {
    expect(effectiveLog([wrong, entry('struck', at('10:00'), { corrects: wrong.id })])).toEqual([])
  })
  test('entries are in the order they happened, not the order they were written', () => {
    const late = entry('note', at('08:00'), { note: 'remembered later' })
    expect(effectiveLog([right, late]).map(({ kind }) => kind)).toEqual(['note', 'cost'])
  })
})

describe('a step', () => {
  const started = entry('started', at('09:00'), onStep('s'))
  const ended = entry('ended', at('09:35'), onStep('s'))
  const state = (...log: Entry[]) => stateOf(stepStates(log, ms('10:00')), 's')

  test('nothing said of it: it waits', () => expect(state()).toMatchObject({ status: 'waiting', minutes: 0 }))
  test('started at nine it has run an hour by ten', () =>
    expect(state(started)).toMatchObject({ status: 'running', minutes: 60 }))
  test('ended at 9:35 it took 35 minutes', () => expect(state(started, ended)).toMatchObject({ status: 'done', minutes: 35 }))
  test('minutes typed by hand win over the clock', () => {
    expect(state(started, entry('ended', at('12:00'), { ...onStep('s'), minutes: 40 }))).toMatchObject({
      status: 'done',
      minutes: 40,
    })
  })
  test('two people who both tapped: the first start and the first end count', () => {
    const again = [entry('started', at('09:10'), onStep('s')), entry('ended', at('09:50'), onStep('s'))]
    expect(state(started, ended, ...again)).toMatchObject({ startedAt: at('09:00'), endedAt: at('09:35'), minutes: 35 })
  })
  test('left out it is neither waiting nor done', () => {
    expect(state(entry('left-out', at('09:00'), onStep('s')))).toMatchObject({ status: 'left-out', endedAt: null })
  })
})

describe('put right', () => {
  const ended = entry('ended', '2026-05-04T09:00:41.500Z', { ...onStep('s'), minutes: null })
  const typed: Correction = {
    entryId: 'new',
    at: '2026-05-04T09:00:00.000Z',
    note: null,
    minutes: 25,
    productId: null,
    mix: null,
    amount: null,
    applicator: null,
    film: null,
    costKind: null,
    money: null,
    fees: null,
    channelId: null,
  }
  test('the same minute typed is the same moment: the line keeps its place among those of that minute', () =>
    expect(correctedEntry(ended, typed)).toMatchObject({ at: ended.at, minutes: 25, corrects: ended.id }))
  test('another minute is another moment', () =>
    expect(correctedEntry(ended, { ...typed, at: '2026-05-04T08:59:00.000Z' })?.at).toBe('2026-05-04T08:59:00.000Z'))
})

describe('where work was', () => {
  const day = (iso: string) => entry('started', iso, onStep('s'))
  test('half a day before and after each touch of a clock, what meets being one', () => {
    const log = [day('2026-05-04T09:00:00.000Z'), day('2026-05-04T17:30:00.000Z'), day('2026-05-09T08:00:00.000Z')]
    const note = entry('note', '2026-06-01T08:00:00.000Z', { note: 'no work' })
    expect(workStretches([[log[2] as Entry, note], log.slice(0, 2)])).toEqual([
      { from: '2026-05-03T21:00:00.000Z', to: '2026-05-05T05:30:00.000Z' },
      { from: '2026-05-08T20:00:00.000Z', to: '2026-05-09T20:00:00.000Z' },
    ])
    expect(workStretches([])).toEqual([])
  })
  test('a step’s span is from its first touch to its last; one that runs still may run for half a day', () => {
    const touched = (kind: 'started' | 'paused' | 'resumed' | 'ended', time: string, step = 's') =>
      entry(kind, `2026-05-04T${time}:00.000Z`, onStep(step)) as Entry
    const span = (from: string, to: string) => ({ from: `2026-05-04T${from}:00.000Z`, to: `2026-05-04T${to}:00.000Z` })
    expect(workSpans([[touched('started', '09:00'), touched('ended', '09:25')]])).toEqual([span('09:00', '09:25')])
    expect(workSpans([[touched('started', '09:00'), touched('paused', '09:10'), touched('resumed', '10:00')]])).toEqual([
      span('09:00', '22:00'),
    ])
    expect(workSpans([[touched('ended', '11:00', 'typed')], [touched('started', '08:00', 'other')]])).toEqual([
      span('11:00', '11:00'),
      span('08:00', '20:00'),
    ])
  })
  test('every touch lies half a day within a stretch, and no two stretches meet', () => {
    const touches = fc.array(fc.integer({ min: 0, max: 500 }), { minLength: 1, maxLength: 30 })
    fc.assert(
      fc.property(touches, (hours) => {
        const times = hours.map((hour) => Date.parse('2026-05-04T00:00:00.000Z') + hour * 3_600_000)
        const found = workStretches([times.map((each) => day(new Date(each).toISOString()))])
        const halfDay = 12 * 3_600_000
        for (const each of times)
          expect(found.some(({ from, to }) => Date.parse(from) <= each - halfDay && each + halfDay <= Date.parse(to))).toBe(true)
        found.slice(1).forEach(({ from }, k) => expect(from > (found[k]?.to ?? '')).toBe(true))
        // nothing is asked for that no touch asks for
        for (const { from, to } of found)
          expect(
            times.some((each) => each - halfDay === Date.parse(from)) && times.some((each) => each + halfDay === Date.parse(to)),
          ).toBe(true)
      }),
    )
  })
})
