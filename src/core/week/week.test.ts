import { describe, expect, test } from 'vitest'
import { readBench } from '@/core/bench/benchData'
import type { PlanStep } from '@/core/piece/piece'
import { at, entry, fileWith, ms, onStep, partWith, planStep } from '@/core/testing/piece'
import { ada, ask, ben, clock, dataOf, outlookOf, said, twoCoats } from '@/core/testing/studioWeek'
import { answerWeek, type WeekAsk } from './ask'
import type { Hand, OtherDay } from './hands'
import { goingOn } from './planWeek'
import { isSupposed, readWeek, type WeekData } from './weekData'

describe('a week from the studio', () => {
  test('two coats: the first when the day begins, the second when the first is dry', () =>
    // 4 May 2026 is a Monday; ten of the twenty minutes are the set-up, paid where the brush changes
    expect(said(outlookOf(dataOf([twoCoats('table')])))).toEqual([
      ['table 1', '04T09:00', 'morning', 'Wenna'],
      ['table 2', '04T11:10', 'dries', 'Wenna'],
    ]))
  test('somebody is away: on the next day that is worked', () => {
    const others: OtherDay[] = [{ day: '2026-05-04', personId: 'a', hours: null }]
    expect(said(outlookOf(dataOf([twoCoats('table')], { others })))[0]).toEqual(['table 1', '05T09:00', 'morning', 'Wenna'])
  })
  test('a promise is worked towards two hours sooner, or half a short day; late is only what ends after it', () => {
    const data = (hours = ada.hours) => dataOf([twoCoats('table', { promisedOn: '2026-05-04' })], { hands: [{ ...ada, hours }] })
    const dueOf = (week: WeekData) => readWeek(week, readBench(week.bench, [], ms('08:00')), ms('08:00')).problem.pieces[0]?.due
    // from eight on
    expect(dueOf(data())).toBe(7 * 60)
    expect(dueOf(data({ ...ada.hours, to: 11 * 60 }))).toBe(2 * 60)
    const pins = [{ stepId: 'table 1', side: null, at: ms('14:00'), personId: null }]
    const [piece] = outlookOf(data(), { supposed: { pins } }).pieces
    expect([new Date(piece?.endMs ?? 0).toISOString().slice(11, 16), piece?.lateMinutes]).toEqual(['16:20', 0])
  })
  test('held at one o’clock, the rest follows', () => {
    const pins = [{ stepId: 'table 1', side: null, at: ms('13:00'), personId: null }]
    expect(said(outlookOf(dataOf([twoCoats('table')]), { supposed: { pins } }))).toEqual([
      ['table 1', '04T13:00', 'pinned', 'Wenna'],
      ['table 2', '04T15:10', 'dries', 'Wenna'],
    ])
  })
  test.each([
    ['lies behind', { at: ms('07:00'), personId: null }, []],
    ['falls into the night', { at: ms('22:00'), personId: null }, []],
    [
      'falls on a day on which nobody works',
      { at: ms('10:00'), personId: null },
      [{ day: '2026-05-04', personId: 'a', hours: null }],
    ],
    ['lies before what it waits for is dry', { at: ms('09:30'), personId: null }, []],
  ] as const)('what is held where it %s is let go, and the week goes on', (_, pin, others) => {
    const stepId = pin.at === ms('09:30') ? 'table 2' : 'table 1'
    const week = outlookOf(dataOf([twoCoats('table')], { others: [...others] }), {
      supposed: { pins: [{ stepId, side: null, ...pin }] },
    })
    const day = others.length > 0 ? '05' : '04'
    expect(said(week).map(([step, time]) => [step, time])).toEqual([
      ['table 1', `${day}T09:00`],
      ['table 2', `${day}T11:10`],
    ])
    expect(week.lines.some(({ reason }) => reason === 'pinned')).toBe(false)
  })
  test('given to somebody who is gone for good, another works it', () => {
    const gone: Hand = { id: 'c', name: 'Isbel', hours: { from: 540, to: 545, days: [1] } }
    const week = outlookOf(dataOf([twoCoats('table')], { hands: [ada, gone] }), {
      supposed: { pins: [{ stepId: 'table 1', side: null, at: null, personId: 'c' }] },
    })
    expect(said(week).map(([, , , name]) => name)).toEqual(['Wenna', 'Wenna'])
  })
  test('a day said otherwise may be supposed as usual again', () => {
    const others: OtherDay[] = [{ day: '2026-05-04', personId: 'a', hours: null }]
    expect(said(outlookOf(dataOf([twoCoats('table')], { others }), { supposed: { said: [] } }))[0]?.[1]).toBe('04T09:00')
  })
  test('two pairs of hands begin two pieces at once; given to one, she works both', () => {
    const two = [twoCoats('table'), twoCoats('bench')]
    const starts = (data: WeekData, over: Partial<WeekAsk> = {}) =>
      outlookOf(data, over)
        .lines.filter(({ step }) => step?.id.endsWith('1'))
        .map(({ startMs, handName }) => [new Date(startMs).toISOString().slice(11, 16), handName])
    expect(starts(dataOf(two, { hands: [ada, ben] })).map(([time]) => time)).toEqual(['09:00', '09:00'])
    const pins = two.map(({ piece }) => ({ stepId: `${piece.name} 1`, side: null, at: null, personId: 'b' }))
    expect(starts(dataOf(two, { hands: [ada, ben] }), { supposed: { pins } })).toEqual([
      ['09:00', 'Pell'],
      ['09:10', 'Pell'],
    ])
  })
  test('in colder, damper air everything is dry later', () => {
    const second = (over: Partial<WeekAsk>) => outlookOf(dataOf([twoCoats('table')]), over).lines[1]?.startMs ?? 0
    // 75 % at 21 °C halves the deficit: four hours for two
    const said = (temperature: number, humidity: number, to = '2026-05-10') => ({
      supposed: { forecasts: [{ id: '', roomId: null, from: '2026-05-04', to, air: { temperature, humidity } }] },
    })
    expect(second(said(21, 75))).toBe(ms('13:10'))
    // too cold on Monday: it dries on Tuesday from midnight on, whenever it was laid
    expect(second(said(8, 50, '2026-05-04'))).toBe(ms('09:00', 5))
    expect(outlookOf(dataOf([twoCoats('table')]), said(8, 50, '2026-12-31')).stuck).toHaveLength(1)
  })
  test('a promise that can’t be kept is late by so much; another week mends it', () => {
    const data = dataOf([twoCoats('table', { promisedOn: '2026-05-01', client: 'the Ferrow household' })])
    // promised for Friday, five in the afternoon
    expect(outlookOf(data).pieces[0]?.lateMinutes).toBe((ms('11:20') - ms('17:00', 1)) / 60_000)
    expect(outlookOf(data, { supposed: { promised: { table: '2026-05-08' } } }).pieces[0]?.lateMinutes).toBe(0)
  })
  test('other steps thought of for a part: what is ahead of it is theirs, the others stand', () => {
    const thought = [planStep('x', { minutes: 40, window: null })]
    const week = outlookOf(dataOf([twoCoats('table'), twoCoats('bench')]), {
      supposed: { plans: { 'table part': thought } },
      weeks: 20,
    })
    expect(week.lines.map(({ step }) => step?.id).sort()).toEqual(['bench 1', 'bench 2', 'table part 0+'])
    expect(week.pieces.find(({ name }) => name === 'table')?.safeMs).toBeGreaterThan(ms('09:00'))
    expect(week.kept.filter(({ stepId }) => isSupposed(stepId))).toHaveLength(1)
  })
  test('the week as data is the same after a journey as text', () => {
    const data = dataOf([twoCoats('table')], { others: [{ day: '2026-05-05', personId: null, hours: null }] })
    const sent = JSON.parse(JSON.stringify(data)) as WeekData
    expect(said(outlookOf(sent))).toEqual(said(outlookOf(data)))
  })
  test('one more like it has steps of its own, and is said when it is ready', () => {
    const { pieces, lines } = outlookOf(dataOf([twoCoats('table')]), {
      supposed: { like: { pieceId: 'table', promisedOn: null } },
      weeks: 20,
    })
    expect(pieces.map(({ name }) => name)).toEqual(['table', 'One like the table'])
    expect(lines).toHaveLength(4)
    expect(pieces[1]?.safeMs).toBeGreaterThanOrEqual(pieces[1]?.endMs ?? Infinity)
  })
  test('what dries now and what runs now is reckoned with', () => {
    const file = fileWith(
      [partWith([planStep('one'), planStep('two', { window: null })])],
      [entry('started', at('08:00'), onStep('one')), entry('ended', at('08:20'), onStep('one'))],
    )
    expect(said(outlookOf(dataOf([file]), { nowMs: ms('09:30') }))).toEqual([['two', '04T10:20', 'dries', 'Wenna']])
    const runs = { ...file, log: file.log.slice(0, 1) }
    const { running, lines } = outlookOf(dataOf([runs]), { nowMs: ms('09:00') })
    expect(running).toHaveLength(1)
    expect(lines.map(({ step }) => step?.id)).toEqual(['two'])
  })
  test('a plan that is gone on from stays where it is', () => {
    const data = dataOf([twoCoats('table'), twoCoats('bench'), twoCoats('chest')])
    const first = outlookOf(data)
    const then = outlookOf(data, { from: first.kept, seed: 9, budgetMs: 200 })
    expect(then.kept).toEqual(first.kept)
    expect(goingOn(readWeek(data, readBench(data.bench, [], ms('08:00')), ms('08:00')), [])).toBeUndefined()
  })
  test('nobody works: it says so, and which step found no place', () => {
    const idle = { ...ada, hours: { ...ada.hours, days: [] } }
    expect(answerWeek(ask(dataOf([twoCoats('table')], { hands: [idle] })), clock())).toMatchObject({ why: 'nobody' })
    expect(outlookOf(dataOf([])).lines).toEqual([])
  })
  test('a coat that is longer than anybody’s evening goes on the next one, however long a day is that nobody works, or that is over by then', () => {
    const evenings = { ...ada, hours: { from: 1140, to: 1200, days: [1, 2, 3, 4, 5] } }
    const idle = { ...ben, hours: { ...ben.hours, days: [] } }
    const wet = { clock: 'evaporation', opens: [1200, 1200], source: 'craft' } as const
    const file = fileWith([partWith([planStep('on', { window: wet }), planStep('all over', { minutes: 90, window: null })])], [])
    const others: OtherDay[] = [{ day: '2026-05-04', personId: 'a', hours: { from: 540, to: 1020 } }]
    for (const long of [[], others]) {
      const week = outlookOf(dataOf([file], { hands: [evenings, idle], others: long }))
      const [, coat] = week.lines
      // eighty minutes with the brush, sixty of them on the first evening
      expect([coat?.startMs, coat?.endMs]).toEqual([ms('19:00', 5), ms('19:20', 6)])
    }
  })
  test('thirty pieces ahead of six hours a week: months of evenings, every step in them, windows that fall into the night missed and said', () => {
    const evenings = { ...ada, hours: { from: 1140, to: 1260, days: [1, 3, 5] } }
    const [dry, night] = [{ opens: [240, 240] }, { opens: [240, 240], closes: [380, 380] }] as const
    const windowOf = (times: object) => ({ clock: 'evaporation', source: 'craft', ...times }) as PlanStep['window']
    const files = Array.from({ length: 30 }, (_, k) => {
      const steps = [
        planStep(`${k} clean`, {
          minutes: 90,
          operation: 'clean',
          family: null,
          colour: null,
          amount: null,
          window: windowOf(dry),
        }),
        planStep(`${k} one`, { minutes: 60, window: windowOf(night) }),
        planStep(`${k} two`, { minutes: 60, window: null }),
        planStep(`${k} clear`, { minutes: 90, window: null }),
      ]
      return fileWith([partWith(steps, { id: `part ${k}` })], [], { id: `p${k}`, name: `p${k}` })
    })
    const { lines } = outlookOf(dataOf(files, { hands: [evenings] }))
    expect([lines.length, new Set(lines.map(({ key }) => key)).size]).toEqual([120, 120])
    expect(lines.filter(({ missed }) => missed).map(({ step }) => step?.id.replace(/\d+ /, ''))).toEqual(Array(30).fill('two'))
    // 125 hours with the brush at six a week, and every night between two coats
    const last = Math.max(...lines.map(({ endMs }) => endMs))
    expect(last).toBeGreaterThan(ms('08:00') + 20 * 7 * 86_400_000)
    expect(last).toBeLessThan(ms('08:00') + 40 * 7 * 86_400_000)
  })
  test('after the last day on which anybody works: which step has no place, of which piece', () => {
    const data = dataOf([twoCoats('table', { name: 'Tea table' })], {
      hands: [{ ...ada, hours: { ...ada.hours, days: [] } }],
      others: [{ day: '2026-05-04', personId: 'a', hours: { from: 540, to: 560 } }],
    })
    const answer = answerWeek(ask(data), clock())
    expect(answer).toMatchObject({
      why: 'no-place',
      place: { step: { id: 'table 2' } },
      minutes: 10,
      pieceName: 'Tea table',
      partName: 'Top',
    })
  })
  test('a studio that works nights goes on after midnight', () => {
    const nights = { ...ada, hours: { from: 1320, to: 1800, days: [1, 2, 3, 4, 5] } }
    expect(said(outlookOf(dataOf([twoCoats('table')], { hands: [nights] }))).map(([, time]) => time)).toEqual([
      '04T22:00',
      '05T00:10',
    ])
  })
  test('a studio of Sundays works on Sundays', () => {
    const sundays = { ...ada, hours: { from: 600, to: 960, days: [0] } }
    expect(said(outlookOf(dataOf([twoCoats('table')], { hands: [sundays] }))).map(([, time]) => time)).toEqual([
      '10T10:00',
      '10T12:10',
    ])
  })
})
