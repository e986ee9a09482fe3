import { describe, expect, test } from 'vitest'
import { at, ms } from '@/core/testing/piece'
import { airIn, readSensor, rooms as sensed } from '../../../sensor/air'
import { doubtOf, isSilent, type JudgedReading } from './believe'
import { isNews } from './isNews'
import { climateIn, climatesOf } from './rooms'

const read = (when: string, temperature: number, humidity: number, doubt: JudgedReading['doubt'] = null): JudgedReading => ({
  at: at(when),
  temperature,
  humidity,
  doubt,
})

describe('a reading', () => {
  test.each([
    [85, 50],
    [-40, 50],
    [20, 0],
    [20, 140],
  ])('of %d °C and %d %% is absurd', (temperature, humidity) =>
    expect(doubtOf(read('09:00', temperature, humidity), [])).toBe('absurd'),
  )
  test('that leaps 13 °C in ten minutes is not the air; a second one that agrees is', () => {
    const before = [read('09:00', 19, 50)]
    expect(doubtOf(read('09:10', 32.5, 50), before)).toBe('jump')
    expect(doubtOf(read('09:11', 32, 50), [...before, read('09:10', 32.5, 50, 'jump')])).toBeNull()
    // a night later it may well be so
    expect(doubtOf(read('18:00', 32.5, 50), before)).toBeNull()
  })
  test('the same to the last figure for six hours is a dead sensor', () => {
    const same = Array.from({ length: 13 }, (_, k) =>
      read(`${String(6 + Math.floor(k / 2)).padStart(2, '0')}:${k % 2 ? '30' : '00'}`, 20.4, 52),
    )
    expect(doubtOf(read('12:30', 20.4, 52), same)).toBe('stuck')
    expect(doubtOf(read('12:30', 20.5, 52), same)).toBeNull()
    expect(doubtOf(read('08:00', 20.4, 52), same.slice(0, 4))).toBeNull()
  })
  test('is written down when it says something new, or when it was silent for half an hour', () => {
    const last = read('09:00', 20, 50)
    expect(isNews(read('09:05', 20.2, 51), last)).toBe(false)
    expect(isNews(read('09:05', 20.4, 50), last)).toBe(true)
    expect(isNews(read('09:05', 20, 52), last)).toBe(true)
    expect(isNews(read('09:30', 20, 50), last)).toBe(true)
    expect(isNews(read('09:05', 85, 50, 'absurd'), last)).toBe(true)
    expect(isNews(last, null)).toBe(true)
  })
  test('three hours without one is silence', () => {
    expect(isSilent(at('09:00'), ms('11:59'))).toBe(false)
    expect(isSilent(at('09:00'), ms('12:01'))).toBe(true)
    expect(isSilent(null, ms('12:01'))).toBe(false)
  })
})

describe('a piece', () => {
  const rooms = [
    { id: 'loft', name: 'Loft', sensor: 'loft', places: null },
    { id: 'store', name: 'Store', sensor: null, places: null },
  ]
  const at20 = { ...read('09:00', 20, 50), roomId: 'loft' }
  const at9 = { ...read('09:00', 9, 60), roomId: 'store' }
  const typed = { ...read('07:00', 15, 60), roomId: null }
  const air = (roomId: string | null, read: (typeof at20 | typeof typed)[], own = rooms) => {
    const byRoom = read.map(({ roomId: where, ...reading }) => ({ roomId: where, readings: [reading] }))
    return climateIn(climatesOf(byRoom, own), roomId, own).map(({ temperature }) => temperature)
  }

  test('stands in its own room’s air', () => {
    expect(air('loft', [at20, at9])).toEqual([20])
    expect(air('store', [at20, at9])).toEqual([9])
  })
  test('of no room stands in the first; what was typed before rooms had names is that room’s past, and grows no older', () => {
    expect(air(null, [typed, at20, at9])).toEqual([15, 20])
    expect(air('loft', [typed, at20])).toEqual([15, 20])
  })
  test('of a room by itself stands in the very readings that were read; two of one minute keep their order', () => {
    const readings = [read('09:00', 20, 50), read('10:00', 21, 50)]
    expect(climatesOf([{ roomId: 'loft', readings }], rooms).loft).toBe(readings)
    const before = [read('08:00', 14, 60), read('09:00', 15, 60)]
    const both = climatesOf(
      [
        { roomId: null, readings: before },
        { roomId: 'loft', readings },
      ],
      rooms,
    ).loft
    expect(both?.map(({ temperature }) => temperature)).toEqual([14, 15, 20, 21])
  })
  test('in a room that was never read stands in the first room’s air; where nothing was read, in none', () => {
    expect(air('store', [at20])).toEqual([20])
    expect(air('store', [])).toEqual([])
  })
  test('of a house without rooms stands in what was typed', () => expect(air(null, [typed], [])).toEqual([15]))
})

describe('the simulated sensor', () => {
  const day = Array.from({ length: 48 }, (_, k) => ms('00:00') + k * 1_800_000)

  test('tells the same air of the same moment, and all of it can be', () => {
    for (const room of sensed)
      for (const moment of day) {
        const air = airIn(room, moment)
        expect(airIn(room, moment)).toEqual(air)
        expect(doubtOf({ at: new Date(moment).toISOString(), ...air }, [])).toBeNull()
      }
  })
  test('a heated loft is warmer by day than by night, and steadier than the back store', () => {
    const [loft, , store] = sensed
    if (!loft || !store) throw new Error('the sensor has three rooms')
    const of = (room: typeof loft, hour: string) => airIn(room, ms(hour)).temperature
    expect(of(loft, '14:00')).toBeGreaterThan(of(loft, '03:00'))
    const swing = (room: typeof loft) => {
      const all = day.map((moment) => airIn(room, moment).temperature)
      return Math.max(...all) - Math.min(...all)
    }
    expect(swing(store)).toBeGreaterThan(swing(loft))
  })
  test('has the faults that sensors have, and each is found out', () => {
    const [loft] = sensed
    if (!loft) throw new Error('the sensor has a loft')
    expect(readSensor(loft, ms('09:00'), 'silent')).toBeNull()
    const sun = readSensor(loft, ms('12:00'), 'sun')
    expect(sun && doubtOf(sun, [])).toBe('absurd')
    const dead: JudgedReading[] = []
    for (const moment of day) {
      const said = readSensor(loft, moment, 'dead')
      if (said) dead.push({ ...said, doubt: doubtOf(said, dead) })
    }
    expect(dead.at(-1)?.doubt).toBe('stuck')
  })
})
