import { describe, expect, test } from 'vitest'
import { benchOrder } from '@/core/bench/benchOrder'
import { whatFits } from '@/core/bench/whatFits'
import { at, entry, fileWith, ms, onStep, partWith, planStep, worked } from '@/core/testing/piece'
import { aheadOn, doneOn } from './facts'
import { readPiece } from './journey'
import { sectionOf } from './section'

const first = planStep('one')
const second = planStep('two', { operation: 'smooth', family: null, colour: null, amount: null, minutes: 15, window: null })
const last = planStep('three', { family: 'chalk-style', minutes: 25 })

describe('where a piece stands', () => {
  const file = fileWith([partWith([first, second, last])], worked('one', '09:00', '09:30'))

  test('a coat ended at 9:30 may be tested from 10:30 and is safe from 11:30', () => {
    const [part] = readPiece(file, { climate: [], nowMs: ms('10:00') }).parts
    expect(part?.window?.times).toMatchObject({ mayOpen: at('10:30'), opens: at('11:30'), closes: null })
    expect(part?.window?.phase).toBe('shut')
    expect(part?.next?.id).toBe('two')
    expect(readPiece(file, { climate: [], nowMs: ms('10:45') }).parts[0]?.window?.phase).toBe('open')
    expect(readPiece(file, { climate: [], nowMs: ms('12:00') }).parts[0]?.window?.phase).toBe('best')
  })
  test('after a change of plan the window is the one to what now follows: wear, not the next coat', () => {
    const worn = planStep('wear', { operation: 'dry-distress', family: null, colour: null, amount: null, window: null })
    const part = partWith([worn], { earlier: [first] })
    const [changed] = readPiece(fileWith([part], worked('one', '09:00', '09:30')), { climate: [], nowMs: ms('09:40') }).parts
    // chalk-style is touch dry after 30 minutes
    expect(changed?.window?.times.opens).toBe(at('10:00'))
  })
  test('planned with a fan: it dries so much faster only while one is on', () => {
    const window = { clock: 'evaporation', opens: [40, 80], source: 'craft' } as const
    const part = partWith([planStep('one', { window }), planStep('three')])
    const fanned = { ...part, plan: part.plan && { ...part.plan, departures: { drying: 'fan' as const } } }
    const opens = (...more: Parameters<typeof fileWith>[1]) =>
      readPiece(fileWith([fanned], [...worked('one', '09:00', '09:30'), ...more]), { climate: [], nowMs: ms('10:00') }).parts[0]
        ?.window?.times.opens
    // two hours by the label; in 120 / 1.5 = 80 minutes with the fan on from the first
    expect(opens()).toBe(at('11:30'))
    expect(opens(entry('assisted', at('09:30'), { partId: 'part', assist: 'fan' }))).toBe(at('10:50'))
  })
  test('a clock that ran when the plan was changed runs on, counts once, and the new plan begins after it', () => {
    const running = [...worked('one', '09:00', '09:30'), entry('started', at('11:30'), onStep('two'))]
    const before = partWith([first, second, last])
    const [old] = readPiece(fileWith([before], running), { climate: [], nowMs: ms('11:40') }).parts
    if (!old) throw new Error('a piece has a part')
    // what is being worked is not asked for again
    expect(doneOn(old).map(({ id }) => id)).toEqual(['one', 'two'])
    expect(aheadOn(old).map(({ id }) => id)).toEqual(['three'])
    const after = partWith([planStep('new')], { earlier: [first, second] })
    const journey = readPiece(fileWith([after], running), { climate: [], nowMs: ms('11:40') })
    expect(journey.parts[0]?.running?.step.id).toBe('two')
    expect(journey).toMatchObject({ stage: 'under-way', minutesDone: 40 })
    const [line] = benchOrder([journey], ms('11:40')).running
    expect(line?.step.id).toBe('two')
    const ended = readPiece(fileWith([after], [...running, entry('ended', at('11:45'), onStep('two'))]), {
      climate: [],
      nowMs: ms('12:00'),
    })
    expect(ended.parts[0]?.running).toBeNull()
    expect(ended.parts[0]?.next?.id).toBe('new')
    expect(ended.minutesDone).toBe(45)
  })
  test('a part whose last step of the plan is left out is not finished while an older step still runs', () => {
    const after = partWith([planStep('new')], { earlier: [second] })
    const log = [entry('started', at('09:00'), onStep('two')), entry('left-out', at('09:10'), onStep('new'))]
    expect(readPiece(fileWith([after], log), { climate: [], nowMs: ms('09:20') }).parts[0]?.finishedAt).toBeNull()
  })
  test('below 10 °C it stands still', () => {
    const [part] = readPiece(file, { climate: [{ at: at('08:00'), temperature: 7, humidity: 50 }], nowMs: ms('12:00') }).parts
    expect(part?.window?.times.opens).toBeNull()
  })
  test('30 minutes are done, 40 are to come', () => {
    expect(readPiece(file, { climate: [], nowMs: ms('10:00') })).toMatchObject({
      stage: 'under-way',
      minutesDone: 30,
      minutesLeft: 40,
    })
  })
  test('just in, under way, resting, listed, ended: one after another', () => {
    const parts = [partWith([first])]
    const all = worked('one', '09:00', '09:30')
    const stage = (log: ReturnType<typeof entry>[], day = 4) =>
      readPiece(fileWith(parts, log), { climate: [], nowMs: ms('12:00', day) }).stage
    expect(stage([])).toBe('just-in')
    expect(stage([entry('started', at('09:00'), onStep('one'))])).toBe('under-way')
    expect(stage(all)).toBe('resting')
    expect(stage([...all, entry('listed', at('15:00'), { money: 9000, channelId: 'c' })])).toBe('listed')
    expect(stage([...all, entry('kept', at('15:00'))])).toBe('ended')
  })
  test('the section shows the coat wet, then dry, and what is planned as planned', () => {
    const layers = (now: string) => {
      const [part] = readPiece(file, { climate: [], nowMs: ms(now) }).parts
      return part ? sectionOf(part).layers.map(({ kind, state }) => `${kind} ${state}`) : []
    }
    expect(layers('10:00')).toEqual(['oldClear there', 'paint wet', 'paint planned'])
    expect(layers('12:00')).toEqual(['oldClear there', 'paint there', 'paint planned'])
  })
})

describe('the bench’s order', () => {
  const journey = (log: ReturnType<typeof entry>[], now: string, steps = [first, second, last]) =>
    readPiece(fileWith([partWith(steps)], log), { climate: [], nowMs: ms(now) })
  const closing = planStep('wax', {
    operation: 'clear-wax',
    family: 'clear-wax',
    colour: null,
    amount: 20,
    window: { clock: 'reaction', opens: [20, 30], closes: [60, 60], source: 'craft' },
  })
  const off = planStep('off', {
    operation: 'wax-off',
    family: 'clear-wax',
    colour: null,
    amount: null,
    window: null,
    minutes: 10,
  })

  test('what closes within the hour stands before what nothing holds', () => {
    const waxed = journey(worked('wax', '09:00', '09:20'), '10:00', [closing, off])
    const idle = journey([], '10:00')
    expect(benchOrder([idle, waxed], ms('10:00')).now.map(({ step, why }) => [step.id, why])).toEqual([
      ['off', 'closing'],
      ['one', 'nothing-holds'],
    ])
  })
  test('an hour later it is gone, and drying work is not offered', () => {
    const waxed = journey(worked('wax', '09:00', '09:20'), '11:00', [closing, off])
    const wet = journey(worked('one', '10:30', '10:50'), '11:00')
    const { missed, drying, now } = benchOrder([waxed, wet], ms('11:00'))
    expect([missed.map(({ step }) => step.id), drying.map(({ step }) => step.id), now]).toEqual([['off'], ['two'], []])
  })
  test('in 30 minutes a 20-minute coat fits and a second alike shares its 8 of set-up', () => {
    const { now } = benchOrder([journey([], '10:00'), journey([], '10:00')], ms('10:00'))
    expect(whatFits(now, 30, () => 8).taken).toHaveLength(1)
    expect(whatFits(now, 32, () => 8)).toMatchObject({ minutes: 32 })
  })
  test('a piece that has left is on nobody’s bench', () => {
    expect(benchOrder([journey([entry('kept', at('09:00'))], '10:00')], ms('10:00')).now).toEqual([])
  })
})
