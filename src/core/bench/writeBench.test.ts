import { describe, expect, test } from 'vitest'
import { defaultMethod } from '@/core/craft/method'
import { entryFromText } from '@/core/input/bench'
import { usualHours } from '@/core/measure/workingHours'
import { readPiece } from '@/core/piece/journey'
import { at, entry, fileWith, ms, partWith, planStep } from '@/core/testing/piece'
import { readBench, readBenchBack, type WrittenBench } from './benchData'
import { benchOrder } from './benchOrder'
import { toBenchData, writeBench } from './writeBench'

const house = { currency: 'GBP', units: 'metric', zone: 'UTC', locale: 'en-GB' } as const

describe('the bench as data', () => {
  const uuid = (n: number) => `01900000-0000-7000-8000-${String(n).padStart(12, '0')}`
  const step = planStep(uuid(3))
  const file = fileWith(
    [partWith([step, planStep(uuid(4))], { id: uuid(2) })],
    [entry('cost', at('08:00'), { money: 3200, costKind: 'bought' })],
    {
      id: uuid(1),
    },
  )
  const data = toBenchData([file], {
    climates: {},
    rooms: [],
    method: defaultMethod,
    hours: usualHours,
    others: [],
    learned: {},
    products: [],
    lots: [],
    planned: {},
    waiting: [],
  })
  const typed = { entryId: uuid(5), pieceId: uuid(1), partId: uuid(2), stepId: uuid(3), at: at('09:10') }

  test('goes without what the bench does not ask after, and comes back as entries', () => {
    expect(data.files[0]?.log).toEqual([])
    expect(JSON.stringify(data)).not.toContain('"mix":null,"amount":null')
  })
  test('of what is done and settled how it was to be done stays home; the last one done holds its part back as before', () => {
    const steps = [uuid(3), uuid(4), uuid(6), uuid(7)].map((id) => ({
      ...planStep(id, { mix: 'paint : water 1 : 1', cautions: ['dust'] }),
      mends: null,
    }))
    const on = (k: number) => ({ partId: uuid(2), stepId: steps[k]?.id ?? '' })
    const log = [
      entry('ended', at('09:00'), on(0)),
      entry('ended', at('09:30'), on(1)),
      entry('checked', at('09:30'), { ...on(1), checkCode: 'raking-light', result: 'later' }),
      entry('ended', at('10:00'), on(2)),
    ].map((each) => ({ ...each, pieceId: uuid(1) }))
    const worked = fileWith([partWith(steps, { id: uuid(2) })], log, { id: uuid(1) })
    const around = { climates: {}, rooms: [], method: defaultMethod, hours: usualHours, others: [], learned: {} }
    const sent = toBenchData([worked], { ...around, products: [], lots: [], planned: {}, waiting: [] })
    expect(sent.files[0]?.parts[0]?.plan?.steps.map(({ mix, window }) => [mix !== undefined, window !== undefined])).toEqual([
      [false, false],
      [true, true],
      [true, true],
      [true, true],
    ])
    const [there] = readBench(sent, [], ms('10:10'))
    const here = readPiece(worked, { climate: [], nowMs: ms('10:10') })
    expect(there?.parts[0]?.window).toEqual(here.parts[0]?.window)
    expect(there?.parts[0]?.next).toEqual(here.parts[0]?.next)
    expect(there?.parts[0]?.checks).toEqual(here.parts[0]?.checks)
    expect(there?.minutesDone).toBe(here.minutesDone)
  })
  test('when a clock ran days ago stays home, that it ended does not: a day of two is read as it was', () => {
    const steps = [uuid(3), uuid(4), uuid(6), uuid(7)].map((id) => ({ ...planStep(id), mends: null }))
    const on = (k: number) => ({ partId: uuid(2), stepId: steps[k]?.id ?? '' })
    const ago = (days: number, time: string) => new Date(ms(time) - days * 86_400_000).toISOString()
    const log = [
      entry('started', ago(5, '09:00'), on(0)),
      entry('paused', ago(5, '09:10'), on(0)),
      entry('resumed', ago(5, '09:20'), on(0)),
      entry('ended', ago(5, '09:30'), on(0)),
      entry('started', ago(1, '09:00'), on(1)),
      entry('ended', ago(1, '09:30'), on(1)),
      entry('started', at('09:00'), on(2)),
    ].map((each) => ({ ...each, pieceId: uuid(1) }))
    const worked = fileWith([partWith(steps, { id: uuid(2) })], log, { id: uuid(1) })
    const around = { climates: {}, rooms: [], method: defaultMethod, hours: usualHours, others: [], learned: {} }
    const sent = toBenchData([worked], { ...around, products: [], lots: [], planned: {}, waiting: [] })
    expect(sent.files[0]?.log.map(({ kind }) => kind)).toEqual(['ended', 'started', 'ended', 'started'])
    const [there] = readBench(sent, [], ms('09:40'))
    const here = readPiece(worked, { climate: [], nowMs: ms('09:40') })
    const shown = (journey = here) =>
      journey.parts[0]?.steps.map(({ step, state }) => [step.id, state.status, state.endedAt, journey.parts[0]?.window])
    expect(shown(there)).toEqual(shown(here))
    expect(there?.parts[0]?.running?.state.minutes).toBe(40)
    expect(there?.minutesLeft).toBe(here.minutesLeft)
    // one that was put right says what it was before as well
    const [first] = log
    const righted = [...log, { ...entry('started', ago(5, '08:50'), on(0)), pieceId: uuid(1), corrects: first?.id ?? null }]
    const other = toBenchData([{ ...worked, log: righted }], { ...around, products: [], lots: [], planned: {}, waiting: [] })
    expect(other.files[0]?.log.filter(({ kind }) => kind === 'started')).toHaveLength(4)
  })
  test('written down and read back it is the same, and a file that stood as it stood is the very one that was read before', () => {
    const around = { climates: {}, rooms: [], method: defaultMethod, hours: usualHours, others: [], learned: {} }
    const more = { products: [], lots: [], planned: { [uuid(3)]: 5 }, waiting: [uuid(1)] }
    // over the wire and back
    const sent = () => JSON.parse(JSON.stringify(writeBench([file], { ...around, ...more }))) as WrittenBench
    const [first, again] = [readBenchBack(sent()), readBenchBack(sent())]
    expect(first).toEqual(JSON.parse(JSON.stringify(toBenchData([file], { ...around, ...more }))))
    expect(again.files[0]).toBe(first.files[0])
    const changed = { ...file, piece: { ...file.piece, name: 'Other' } }
    expect(readBenchBack(writeBench([changed], { ...around, ...more })).files[0]?.piece.name).toBe('Other')
  })
  test('a start written on the device runs at once, and once it is known it is not counted twice', () => {
    const started = entryFromText('startStep', typed, house)
    if (!started) throw new Error('a start can be read')
    const own = readBench(data, [started], ms('09:20'))
    expect(benchOrder(own, ms('09:20')).running).toHaveLength(1)
    const known = { ...data, files: data.files.map((each) => ({ ...each, log: [started] })) }
    expect(readBench(known, [started, started], ms('09:20'))[0]?.log).toHaveLength(1)
  })
  test('what can’t be read is no entry', () => {
    expect(entryFromText('startStep', { ...typed, stepId: 'two' }, house)).toBeNull()
    expect(entryFromText('helpStep', { ...typed, minutes: 'long' }, house)).toBeNull()
    expect(entryFromText('addNote', { ...typed, note: ' ' }, house)).toBeNull()
  })
  test('nobody’s name is nobody, and an entry says all it does not say', () => {
    const said = entryFromText('seeDry', { ...typed, result: 'dry', personId: '' }, house)
    expect(said).toEqual({
      note: null,
      writtenBy: null,
      corrects: null,
      id: uuid(5),
      pieceId: uuid(1),
      partId: uuid(2),
      stepId: uuid(3),
      kind: 'seen',
      at: at('09:10'),
      recordedAt: at('09:10'),
      result: 'dry',
      personId: null,
    })
  })
})
