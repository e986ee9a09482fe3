import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { dryingSpeed } from '@/core/drying/air'
import { windowFor } from '@/core/drying/windowFor'
import { type AirAhead, airAheadAt, alwaysAir, minutesThrough } from './airAhead'

const warm = { temperature: 21, humidity: 50 }
/** half the deficit of the reference air: half as fast */
const damp = { temperature: 21, humidity: 75 }
const cold = { temperature: 5, humidity: 50 }
const ms = (time: string, day = 4) => Date.parse(`2026-05-0${day}T${time}:00Z`)
/** Twelve hours damp, twelve hours as at the reference. */
const halves: AirAhead = { usual: [damp, warm], said: [] }

describe('through the air that is expected', () => {
  test('the hours of a day: two hours of the damp morning and half an hour of the noon', () => {
    expect(airAheadAt(halves, ms('03:00'))).toEqual(damp)
    // from ten: two hours damp are one of drying, the other half hour follows at once
    expect(minutesThrough(halves, 'evaporation', 90, ms('10:00'))).toBeCloseTo(150)
    expect(minutesThrough(halves, 'evaporation', 90, ms('13:00'))).toBeCloseTo(90)
  })
  test('what was said goes before what is usual, the newest first; said back, it is as usual', () => {
    const said = (air: typeof warm | null) => ({ fromMs: ms('00:00'), toMs: ms('00:00', 5), air })
    expect(minutesThrough({ ...halves, said: [said(damp)] }, 'evaporation', 90, ms('13:00'))).toBeCloseTo(180)
    expect(minutesThrough({ ...halves, said: [said(null), said(damp)] }, 'evaporation', 90, ms('13:00'))).toBeCloseTo(90)
  })
  test('a cold day is waited out; where it is always cold it never dries', () => {
    const frost: AirAhead = { usual: [warm], said: [{ fromMs: ms('00:00'), toMs: ms('00:00', 5), air: cold }] }
    expect(minutesThrough(frost, 'evaporation', 60, ms('20:00'))).toBeCloseTo(4 * 60 + 60)
    expect(minutesThrough(alwaysAir(cold), 'evaporation', 60, ms('20:00'))).toBe(Infinity)
    expect(minutesThrough({ usual: [cold, cold], said: [] }, 'evaporation', 60, ms('20:00'))).toBe(Infinity)
    expect(minutesThrough(alwaysAir(cold), 'evaporation', 0, 0)).toBe(0)
  })
  test('a steady air is a speed', () =>
    expect(minutesThrough(alwaysAir(damp), 'reaction', 60, 0)).toBeCloseTo(60 / dryingSpeed('reaction', damp)))
  test('the same as the clock of a coat that dries in readings of that air', () => {
    const air = fc.record({ temperature: fc.integer({ min: 11, max: 30 }), humidity: fc.integer({ min: 20, max: 84 }) })
    fc.assert(
      fc.property(
        fc.array(air, { minLength: 8, maxLength: 8 }),
        fc.nat(1439),
        fc.integer({ min: 30, max: 900 }),
        (usual, minute, need) => {
          const ahead = { usual, said: [] }
          const from = ms('00:00') + minute * 60_000
          const climate = Array.from({ length: 8 * 20 }, (_, k) => {
            const at = ms('00:00') + k * 3 * 3_600_000
            return { at: new Date(at).toISOString(), ...airAheadAt(ahead, at) }
          })
          const { opens } = windowFor({
            endedAt: new Date(from).toISOString(),
            kind: 'evaporation',
            film: 'normal',
            label: { opens: [need, need] },
            climate,
            assistance: [],
          })
          const through = minutesThrough(ahead, 'evaporation', need, from)
          expect(Math.abs((Date.parse(opens ?? '') - from) / 60_000 - through)).toBeLessThanOrEqual(1)
        },
      ),
    )
  })
})
