import { describe, expect, test } from 'vitest'
import type { Entry } from '@/core/log/entry'
import { at, coatFigures, entry, fileWith, ms, onStep, partWith, planStep, worked } from '@/core/testing/piece'
import { readPiece } from './journey'
import { concernsOf } from './leaving'
import { ledgerSoFar, type PricingTerms } from './ledger'
import { leavesRunning, splitFault, splitOff } from './split'

const read = (log: Entry[], steps = [planStep('one'), planStep('two')], over = {}) =>
  readPiece(fileWith([partWith(steps, over)], log), { climate: [], nowMs: ms('20:00', 8) })
const codes = (...args: Parameters<typeof read>) => concernsOf(read(...args)).map(({ code, count }) => [code, count])

describe('what is not done about a piece that leaves', () => {
  test('nothing done at all is one line, whatever was planned', () => {
    expect(codes([])).toEqual([['nothing-done', 1]])
  })
  test('steps ahead are counted, paint that water marks is named', () => {
    expect(codes(worked('one', '09:00', '09:30'))).toEqual([
      ['steps-ahead', 1],
      ['unsealed', 1],
    ])
  })
  test('a running clock, a check put off, a snag with its mending ahead', () => {
    const log = [
      ...worked('one', '09:00', '09:30'),
      entry('checked', at('09:30'), { ...onStep('one'), checkCode: 'raking-light', result: 'later' }),
      entry('started', at('10:00'), onStep('two')),
      entry('snag', at('10:30'), { partId: 'part', id: 'snag', severity: 'grave' }),
    ]
    expect(codes(log).map(([code]) => code)).toEqual(['running', 'steps-ahead', 'unsealed', 'checks-open', 'snags-open'])
  })
  test('sealed and finished, with nothing open, there is nothing to ask', () => {
    const sealed = planStep('wax', { operation: 'clear-wax', family: 'clear-wax', colour: null })
    const steps = [
      planStep('one'),
      sealed,
      planStep('off', { operation: 'wax-off', amount: null }),
      planStep('buff', { operation: 'buff', amount: null }),
    ]
    const log = ['one', 'wax', 'off', 'buff'].flatMap((id, k) => worked(id, `1${k}:00`, `1${k}:20`))
    expect(codes(log, steps)).toEqual([])
  })
})

describe('a set that is parted', () => {
  const terms: PricingTerms = {
    hourRate: 1800,
    overheadRate: 0,
    taxMode: 'none',
    taxShare: 0,
    wish: { earnedRate: 1800 },
    haggle: 0.1,
    step: 500,
  }
  const log = [
    entry('cost', at('08:00'), { costKind: 'bought', money: 4001 }),
    ...worked('one', '09:00', '10:00'),
    entry('coat', at('10:00'), { ...onStep('one'), money: 320, coat: coatFigures({ amount: 100 }) }),
  ]
  const set = read(log, undefined, { count: 4 })

  test('one of four takes a quarter of cost, hours and what is ahead', () => {
    const split = splitOff(set, new Map([['part', 1]]))
    // 4001 / 4 = 1000.25, 320 / 4
    expect(split).toMatchObject({ share: 0.25, costs: { bought: 1000, materials: 80 }, minutes: 15 })
    expect(split.parts[0]).toMatchObject({ leaves: 1, stays: 3 })
    expect(split.parts[0]?.done.map(({ step }) => step.id)).toEqual(['one'])
    const [two] = split.parts[0]?.aheadThere ?? []
    const whole = planStep('two')
    expect([two?.minutes, two?.amount]).toEqual([Math.round(whole.minutes / 4), Math.round((whole.amount ?? 0) / 4)])
  })
  test('what went and what stays sum to what there was, to the penny', () => {
    const split = splitOff(set, new Map([['part', 1]]))
    const share = { costs: split.costs, minutes: split.minutes }
    const gone = entry('split', at('12:00'), { detail: { pieceId: 'other', sign: -1, ...share } })
    const came = entry('split', at('12:00'), { detail: { pieceId: 'piece', sign: 1, ...share } })
    const here = read([...log, gone], undefined, { count: 3 })
    const there = read([came])
    expect(ledgerSoFar(here, terms).total + ledgerSoFar(there, terms).total).toBe(ledgerSoFar(set, terms).total)
    expect(here.minutesDone + there.minutesDone).toBe(set.minutesDone)
  })
  test('none, all, more than there are, or one whose clock runs do not leave', () => {
    const fault = (...leaving: [string, number][]) => splitFault(counts, new Map(leaving))
    const counts = [
      { id: 'chair', count: 4 },
      { id: 'cushion', count: 4 },
    ]
    expect(fault()).toEqual({ code: 'nothing-leaves', partId: null })
    expect(fault(['chair', 0])).toEqual({ code: 'nothing-leaves', partId: null })
    expect(fault(['chair', 5])).toEqual({ code: 'too-many', partId: 'chair' })
    expect(fault(['chair', 4], ['cushion', 4])).toEqual({ code: 'nothing-stays', partId: null })
    expect(fault(['chair', 4], ['cushion', 1])).toBeNull()
    expect(fault(['chair', 1])).toBeNull()
    const running = read([...log, entry('started', at('11:00'), onStep('two'))], undefined, { count: 4 })
    expect([leavesRunning(running, new Map([['part', 1]])), leavesRunning(set, new Map([['part', 1]]))]).toEqual([true, false])
  })
})
