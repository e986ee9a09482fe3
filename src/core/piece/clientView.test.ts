/** What a client is told: how far it is, and the day. */
import { describe, expect, test } from 'vitest'
import { referenceAir } from '@/core/drying/air'
import type { Entry } from '@/core/log/entry'
import { usualHours } from '@/core/measure/workingHours'
import { fileWith, ms, partWith, planStep, worked } from '@/core/testing/piece'
import { type ClientStep, readyOf, stagesOf } from './clientView'
import { readPiece } from './journey'

const steps = [
  planStep('scuffed', { operation: 'scuff', minutes: 20 }),
  planStep('primed', { operation: 'block-prime', minutes: 20 }),
  planStep('coat', { minutes: 20 }),
  planStep('worn', { operation: 'wet-distress', minutes: 20 }),
  planStep('clear', { operation: 'clear-coat', minutes: 20 }),
]
const around = (time: string, day = 4) => ({
  nowMs: ms(time, day),
  zone: 'UTC',
  hours: usualHours,
  air: referenceAir,
  learned: {},
})
function read(log: Entry[], time: string, { promisedOn = null as string | null, day = 4, planned = true } = {}) {
  const part = partWith(steps)
  const file = fileWith([planned ? part : { ...part, plan: null }], log)
  return readPiece({ ...file, piece: { ...file.piece, promisedOn } }, { climate: [], nowMs: ms(time, day) })
}
const short = (all: ClientStep[]) => all.map(({ stage, state }) => `${stage} ${state}`).join(', ')

describe('how far it is', () => {
  test('each stage that is planned, one of them now', () => {
    expect(short(stagesOf(read([], '08:00')))).toBe('prep now, prime ahead, colour ahead, seal ahead')
    const begun = [...worked('scuffed', '08:00', '08:20'), ...worked('primed', '08:30', '08:50')]
    expect(short(stagesOf(read(begun, '09:00')))).toBe('prep done, prime done, colour now, seal ahead')
    // painting is done when it is worn back too
    expect(short(stagesOf(read([...begun, ...worked('coat', '11:00', '11:20')], '11:30')))).toBe(
      'prep done, prime done, colour now, seal ahead',
    )
  })
  test('without a plan nothing is told', () => expect(stagesOf(read([], '08:00', { planned: false }))).toEqual([]))
})

describe('the day', () => {
  test('nothing is said of what nobody planned', () =>
    expect(readyOf(read([], '08:00', { planned: false }), around('08:00'))).toEqual({ is: 'unknown' }))
  test('not before its steps are done and a day has dried the last', () => {
    // scuffed by 9:20 and primed after it; the coats follow as each has dried; by hand: all five are laid on the second day, dry on the third
    const ready = readyOf(read([], '08:00'), around('08:00'))
    expect(ready.is).toBe('earliest')
    const day = ready.is === 'earliest' ? ready.day : ''
    expect(day >= '2026-05-05' && day <= '2026-05-07', day).toBe(true)
    // begun a day later it is a working day later at the least
    const later = readyOf(read([], '08:00', { day: 5 }), around('08:00', 5))
    expect(later.is === 'earliest' && later.day > day).toBe(true)
  })
  test('a promise is told as it was given, beside what its steps allow', () => {
    expect(readyOf(read([], '08:00', { promisedOn: '2026-05-20' }), around('08:00'))).toMatchObject({
      is: 'promised',
      day: '2026-05-20',
    })
    const late = readyOf(read([], '08:00', { promisedOn: '2026-05-04' }), around('08:00'))
    expect(late.is === 'promised' && late.earliest !== null && late.earliest > late.day).toBe(true)
  })
  test('all done it is ready, from when it may be used', () => {
    const all = ['scuffed', 'primed', 'coat', 'worn', 'clear'].flatMap((id, k) => worked(id, `0${k + 1}:00`, `0${k + 1}:20`))
    // thirty days after the last coat it is cured
    expect(readyOf(read(all, '08:00'), around('08:00'))).toEqual({ is: 'ready', from: '2026-06-03' })
    // and then there is nothing left to wait for
    const cured = { ...around('08:00'), nowMs: Date.parse('2026-06-04T08:00:00.000Z') }
    expect(readyOf(read(all, '08:00'), cured)).toEqual({ is: 'ready', from: null })
    expect(stagesOf(read(all, '08:00')).every(({ state }) => state === 'done')).toBe(true)
  })
})
