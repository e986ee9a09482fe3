import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findLastLike } from '@/core/log/lastLike'
import { readPiece } from '@/core/piece/journey'
import { at, coatFigures, entry, fileWith, ms, onStep, partWith, planStep } from '@/core/testing/piece'
import { type BenchLine, benchOrder, type WhyCode } from './benchOrder'
import { nextMorning } from './ifStopped'
import { dueReminders, isAtWork, listReminders, toldOutside } from './reminders'
import { toStepCard } from './stepCard'
import { whatFits } from './whatFits'

const line = (id: string, minutes: number, over: Partial<BenchLine> = {}): BenchLine => {
  const step = planStep(id, { minutes })
  const journey = readPiece(fileWith([partWith([step])], []), { climate: [], nowMs: ms('09:00') })
  const part = journey.parts[0]
  if (!part) throw new Error('a piece has a part')
  return { journey, part, step, window: null, group: 'now', why: 'nothing-holds', weight: 0, ...over }
}
const ids = (lines: readonly BenchLine[]) => lines.map(({ step }) => step.id)
const other = (id: string, minutes: number, over: Partial<BenchLine> = {}) => {
  const made = line(id, minutes, over)
  return { ...made, step: { ...made.step, colour: { name: id, hex: '#101010' }, operation: 'smooth' as const } }
}

describe('I have so many minutes', () => {
  test('three alike fit where two unlike would: the second and third come without their set-up', () => {
    const alike = [line('a', 20), line('b', 20), line('c', 20)]
    expect(whatFits(alike, 44, () => 8)).toMatchObject({ minutes: 44 })
    expect(ids(whatFits(alike, 44, () => 8).taken)).toEqual(['a', 'b', 'c'])
    expect(ids(whatFits(alike, 43, () => 8).taken)).toHaveLength(2)
  })
  test('what closes goes before two that can wait', () => {
    const lines = [other('wait', 15), other('too', 15), line('closing', 28, { why: 'closing' })]
    expect(ids(whatFits(lines, 30, () => 0).taken)).toEqual(['closing'])
  })
  test('alike work stands together, whatever stood between', () => {
    const lines = [line('a', 10), other('x', 10), line('b', 10)]
    expect(ids(whatFits(lines, 40, () => 2).taken)).toEqual(['a', 'b', 'x'])
  })
  test('nothing that is longer than the time there is', () =>
    expect(whatFits([line('a', 20)], 15, () => 8)).toEqual({ taken: [], minutes: 0 }))
  test('what stands far down the bench is weighed as well', () => {
    const long = Array.from({ length: 30 }, (_, k) => other(`long ${k}`, 100))
    expect(ids(whatFits([...long, line('short', 15)], 20, () => 8).taken)).toEqual(['short'])
  })
  test('no set that fits is worth more, by trying every one', () => {
    const whys: WhyCode[] = ['closing', 'promised', 'open', 'nothing-holds']
    const worths = { closing: 12_000, promised: 5_000, open: 3_000, 'nothing-holds': 2_000 } as Record<WhyCode, number>
    const each = fc.tuple(fc.integer({ min: 5, max: 40 }), fc.nat(2), fc.nat(3))
    fc.assert(
      fc.property(fc.array(each, { maxLength: 8 }), fc.integer({ min: 5, max: 120 }), fc.nat(9), (facts, minutes, shared) => {
        const made = facts.map(([length, go, why], k) => {
          const plain = line(`step ${k}`, length, { why: whys[why] ?? 'open' })
          return { ...plain, step: { ...plain.step, mix: `mix ${go}` } }
        })
        const costOf = (set: readonly BenchLine[]) => {
          const goes = new Set<string | null>()
          return set.reduce((sum, { step }) => {
            const saved = goes.has(step.mix) ? Math.min(shared, step.minutes - 1) : 0
            goes.add(step.mix)
            return sum + step.minutes - saved
          }, 0)
        }
        const worthOf = (set: readonly BenchLine[]) => set.reduce((sum, { why, step }) => sum + worths[why] + step.minutes, 0)
        const sets = Array.from({ length: 1 << made.length }, (_, bits) => made.filter((__, k) => bits & (1 << k)))
        const most = Math.max(...sets.filter((set) => costOf(set) <= minutes).map(worthOf))
        const fits = whatFits(made, minutes, () => shared)
        expect(fits.minutes).toBeLessThanOrEqual(minutes)
        expect(costOf(fits.taken)).toBe(fits.minutes)
        expect(worthOf(fits.taken)).toBe(most)
      }),
    )
  })
})

describe('a piece whose client has a change to answer', () => {
  const first = planStep('one', { window: { clock: 'evaporation', opens: [30, 60], closes: [300, 360], source: 'craft' } })
  const file = fileWith(
    [partWith([first, planStep('two')])],
    [entry('started', at('08:40'), onStep('one')), entry('ended', at('09:00'), onStep('one'))],
  )
  const orderAt = (time: string) => {
    const journey = readPiece(file, { climate: [], nowMs: ms(time) })
    const waiting = new Set([file.piece.id])
    const order = benchOrder([journey], ms(time), 'UTC', {}, waiting)
    const [part] = journey.parts
    const around = { products: [], lots: [], batches: [], journeys: [journey], coats: [], nowMs: ms(time), waiting }
    const card = part?.next && toStepCard(journey, part, part.next, around)
    return {
      group: Object.entries(order)
        .flatMap(([group, lines]) => lines.map(() => group))
        .join(),
      waits: card?.waits,
    }
  }
  test('waits for them, and none of its steps is begun; what would spoil within hours is done all the same', () => {
    // dry from 09:30, closes at 14:00
    expect(orderAt('11:00')).toEqual({ group: 'now', waits: false })
    const loose = fileWith([partWith([planStep('one'), planStep('two')])], [])
    const journey = readPiece(loose, { climate: [], nowMs: ms('10:00') })
    const order = benchOrder([journey], ms('10:00'), 'UTC', {}, new Set([loose.piece.id]))
    expect([order.now.length, order.client.map(({ why }) => why)]).toEqual([0, ['client']])
    expect(benchOrder([journey], ms('10:00')).client).toEqual([])
  })
})

describe('reminders', () => {
  const closing = planStep('one', { window: { clock: 'evaporation', opens: [30, 60], closes: [150, 180], source: 'craft' } })
  const file = fileWith(
    [partWith([closing, planStep('two')])],
    [entry('started', at('08:40'), onStep('one')), entry('ended', at('09:00'), onStep('one'))],
  )
  const journeys = [readPiece(file, { climate: [], nowMs: ms('09:00') })]

  test('five minutes before it opens, a quarter of an hour before it closes', () => {
    expect(listReminders(journeys, ms('09:00')).map(({ kind, tellMs }) => [kind, tellMs])).toEqual([
      ['opens', ms('09:55')],
      ['closes', ms('11:15')],
    ])
  })
  test('each is due once, however the clock ticks', () => {
    const due = [
      ['09:54', '09:55'],
      ['09:55', '09:56'],
      ['11:14', '11:16'],
    ] as const
    expect(due.map(([from, to]) => dueReminders(journeys, ms(from), ms(to)).map(({ kind }) => kind))).toEqual([
      ['opens'],
      [],
      ['closes'],
    ])
  })
  test('none for what is being worked already', () => {
    const running = { ...file, log: [...file.log, entry('started', at('10:05'), onStep('two'))] }
    expect(listReminders([readPiece(running, { climate: [], nowMs: ms('10:10') })], ms('10:10'))).toEqual([])
  })
})

describe('the next morning', () => {
  const hours = { from: 540, days: [1, 2, 3, 4, 5] }
  test.each([
    ['Wednesday at 15:00', 900, 3, { days: 1, minute: 540 }],
    ['Friday at 15:00', 900, 5, { days: 3, minute: 540 }],
    ['Monday at 7:00', 420, 1, { days: 0, minute: 540 }],
    ['Sunday at 7:00', 420, 0, { days: 1, minute: 540 }],
  ] as const)('after %s', (_, minute, weekday, expected) => expect(nextMorning(minute, weekday, hours)).toEqual(expected))
})

describe('the last like coat', () => {
  const coat = (when: string, productId: string | null, applicator: string, operation: 'coat' | 'wash' = 'coat') => ({
    operation,
    at: at(when),
    coat: coatFigures({ productId, family: 'clay', amount: 80, applicator }),
  })
  const coats = [coat('11:00', 'slate', 'foam'), coat('09:00', 'husk', 'bristle'), coat('12:00', 'husk', 'synthetic')]
  const like = (over: object = {}) => ({
    operation: 'coat' as const,
    family: 'clay' as const,
    productIds: new Set<string>(),
    ...over,
  })

  test('is the latest in this colour’s tin', () => {
    expect(findLastLike(coats, like({ productIds: new Set(['slate']) }))?.applicator).toBe('foam')
    expect(findLastLike(coats, like({ productIds: new Set(['husk']) }))?.applicator).toBe('synthetic')
  })
  test('a wash says nothing of how a plain coat is laid, nor the other way round', () => {
    const mixed = [...coats, coat('13:00', 'husk', 'damp cloth', 'wash')]
    expect(findLastLike(mixed, like())?.applicator).toBe('synthetic')
    expect(findLastLike(mixed, like({ operation: 'wash' }))?.applicator).toBe('damp cloth')
    expect(findLastLike(coats, like({ operation: 'wash' }))).toBeNull()
  })
  test('is none of another family, and none where nothing was logged', () => {
    expect(findLastLike(coats, like({ family: 'casein' }))).toBeNull()
    expect(findLastLike([], like())).toBeNull()
  })
})

describe('told to who is not looking', () => {
  const nineToFive = { from: 540, to: 1020, days: [1, 2, 3, 4, 5] }
  // 3 May 2026 is a Sunday, 4 May a Monday
  test.each([
    ['Monday at nine', '2026-05-04T08:00:00.000Z', nineToFive, 'Europe/London', true],
    ['Monday a minute before', '2026-05-04T07:59:00.000Z', nineToFive, 'Europe/London', false],
    ['Monday at five', '2026-05-04T16:00:00.000Z', nineToFive, 'Europe/London', false],
    ['Sunday noon', '2026-05-03T12:00:00.000Z', nineToFive, 'Europe/London', false],
    ['two at night, of Monday’s work', '2026-05-05T02:00:00.000Z', { from: 1200, to: 1680, days: [1] }, 'UTC', true],
    ['two at night, of Sunday’s', '2026-05-04T02:00:00.000Z', { from: 1200, to: 1680, days: [1] }, 'UTC', false],
  ])('%s', (_, at, hours, zone, expected) => expect(isAtWork(Date.parse(at), hours, zone)).toBe(expected))

  const opens = '2026-05-04T10:00:00.000Z'
  const reminder = (kind: 'opens' | 'closes', at: string) => ({ kind, at, tellMs: Date.parse(at) - 5 * 60_000 }) as never
  const told = (kind: 'opens' | 'closes', at: string, now: string) =>
    toldOutside([reminder(kind, at)], Date.parse(now), nineToFive, 'UTC').length === 1
  test('from five minutes before until ten after, in the hours of work', () => {
    expect(told('opens', opens, '2026-05-04T09:54:59.000Z')).toBe(false)
    expect(told('opens', opens, '2026-05-04T09:55:00.000Z')).toBe(true)
    expect(told('opens', opens, '2026-05-04T10:09:59.000Z')).toBe(true)
    expect(told('opens', opens, '2026-05-04T10:10:00.000Z')).toBe(false)
    expect(told('opens', '2026-05-04T03:00:00.000Z', '2026-05-04T03:00:00.000Z')).toBe(false)
  })
  test('what closes is told at night too, and not once it is over', () => {
    expect(told('closes', '2026-05-04T03:00:00.000Z', '2026-05-04T02:56:00.000Z')).toBe(true)
    expect(told('closes', '2026-05-04T03:00:00.000Z', '2026-05-04T03:00:00.000Z')).toBe(false)
  })
})
