import { describe, expect, test } from 'vitest'
import { doubtOf, type JudgedReading } from '@/core/climate/believe'
import { airIn, type Fault, readSensor, rooms, type SensorRoom } from './air'

const hourMs = 3_600_000
const january = Date.UTC(2026, 0, 12)
const week = Array.from({ length: 7 * 24 }, (_, k) => january + k * hourMs)
const roomOf = (name: string): SensorRoom => {
  const room = rooms.find((each) => each.name === name)
  if (!room) throw new Error(`no room ${name}`)
  return room
}
const [loft, store] = [roomOf('loft'), roomOf('back store')]
/** What a week of one sensor is judged to be. */
const judged = (room: SensorRoom, fault: (ms: number) => Fault) =>
  week.reduce<JudgedReading[]>((before, ms) => {
    const reading = readSensor(room, ms, fault(ms))
    return reading ? [...before, { ...reading, doubt: doubtOf(reading, before) }] : before
  }, [])

describe('the air of a workshop', () => {
  test('is the same whenever it is asked, and always what can be', () => {
    for (const room of rooms) {
      for (const ms of week) {
        const { temperature, humidity } = airIn(room, ms)
        expect(airIn(room, ms)).toEqual({ temperature, humidity })
        expect(temperature).toBeGreaterThan(-10)
        expect(temperature).toBeLessThan(35)
        expect(humidity).toBeGreaterThanOrEqual(22)
        expect(humidity).toBeLessThanOrEqual(97)
      }
    }
  })
  test('a heated room is warm by day and let down at night; the store follows the winter', () => {
    const mean = (room: SensorRoom, hours: readonly number[]) => {
      const read = week.filter((ms) => hours.includes(new Date(ms).getUTCHours())).map((ms) => airIn(room, ms).temperature)
      return read.reduce((sum, each) => sum + each, 0) / read.length
    }
    expect(mean(loft, [10, 12, 14])).toBeGreaterThan(mean(loft, [0, 2, 4]) + 1)
    expect(mean(loft, [12])).toBeGreaterThan(mean(store, [12]) + 5)
  })
})

describe('a sensor', () => {
  test('in order is believed, all week, in every room', () => {
    for (const room of rooms) expect(judged(room, () => 'none').filter(({ doubt }) => doubt !== null)).toEqual([])
  })
  test('in the sun says 85 °C, and nobody believes it; the next reading is believed again', () => {
    const noon = january + 60 * hourMs
    const doubted = judged(loft, (ms) => (ms === noon ? 'sun' : 'none')).filter(({ doubt }) => doubt !== null)
    expect(doubted).toMatchObject([{ temperature: 85, doubt: 'absurd', at: new Date(noon).toISOString() }])
  })
  test('that is dead repeats itself and is found out; one that is silent says nothing', () => {
    const since = january + 48 * hourMs
    const dead = judged(store, (ms) => (ms >= since ? 'dead' : 'none'))
    expect(dead.at(-1)?.doubt).not.toBeNull()
    expect(readSensor(store, since, 'silent')).toBeNull()
  })
})
