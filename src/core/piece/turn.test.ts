import { describe, expect, test } from 'vitest'
import { benchOrder } from '@/core/bench/benchOrder'
import { listReminders } from '@/core/bench/reminders'
import type { Entry } from '@/core/log/entry'
import { usualHours } from '@/core/measure/workingHours'
import { at, entry, fileWith, ms, onStep, partWith, planStep } from '@/core/testing/piece'
import { daysAhead } from './daysAhead'
import { readPiece } from './journey'

const usual = { temperature: 21, humidity: 50 }
const doors = partWith([planStep('one', { minutes: 40, turns: 30 }), planStep('two')], { kind: 'doors', count: 2 })
const log: Entry[] = [
  entry('started', at('09:00'), onStep('one')),
  entry('paused', at('09:20'), { ...onStep('one'), detail: { laid: true } }),
]
const read = (when: string, more = log) =>
  readPiece(fileWith([doors], more), { climate: [{ at: at('06:00'), ...usual }], nowMs: ms(when) })
const groupAt = (when: string, more = log) =>
  Object.entries(benchOrder([read(when, more)], ms(when))).flatMap(([group, lines]) => lines.map(({ why }) => `${group} ${why}`))

describe('the first side is laid', () => {
  test('at 9:20: it dries until 9:50, then it is there to be turned, its clock at twenty minutes', () => {
    expect(read('09:30').parts[0]?.turn?.times.opens).toBe(at('09:50'))
    expect([groupAt('09:30'), groupAt('09:55')]).toEqual([['drying open'], ['now turn']])
    expect(read('09:55').parts[0]?.running?.state).toMatchObject({ status: 'paused', minutes: 20 })
  })
  test('somebody is told five minutes before', () =>
    expect(listReminders([read('09:30')], ms('09:30')).map(({ step, kind, tellMs }) => [step.id, kind, tellMs])).toEqual([
      ['one', 'opens', ms('09:45')],
    ]))
  test('turned, its clock runs on; the window after it counts from the end of the second side', () => {
    const turned = [...log, entry('resumed', at('09:55'), onStep('one'))]
    expect([read('10:00', turned).parts[0]?.turn, groupAt('10:00', turned)]).toEqual([null, ['running running']])
    const done = [...turned, entry('ended', at('10:15'), onStep('one'))]
    const [part] = read('10:20', done).parts
    expect(part?.done[0]?.state.minutes).toBe(40)
    expect(part?.window?.times.mayOpen).toBe(at('11:15'))
  })
  test('a pause for another reason lays no side', () => {
    const paused = [log[0]!, entry('paused', at('09:20'), onStep('one'))]
    expect([read('09:30', paused).parts[0]?.turn, groupAt('09:30', paused)]).toEqual([null, ['running running']])
  })
  test('its days go on with the second side', () => {
    const around = { nowMs: ms('09:30'), zone: 'UTC', hours: usualHours, air: usual, learned: {} }
    expect(daysAhead(read('09:30'), around).slots.map(({ index, side, start }) => [index, side, start])).toEqual([
      [0, 2, 9 * 60 + 50],
      [1, undefined, 12 * 60 + 10],
    ])
  })
})
