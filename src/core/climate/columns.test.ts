import fc from 'fast-check'
import { expect, it } from 'vitest'
import { fromColumns, toColumns } from './columns'

const at = (time: string) => `2026-05-04T${time}Z`

it('a beat that is kept is a row of noughts, and a pause in it is said once', () => {
  const readings = ['08:00:00.000', '08:05:00.000', '08:10:00.000', '08:30:00.000', '08:35:00.000'].map((time, k) => ({
    at: at(time),
    temperature: 20 + k / 10,
    humidity: 50 - k,
  }))
  expect(toColumns(readings)).toEqual({
    fromMs: Date.UTC(2026, 4, 4, 8),
    later: [300_000, 0, 900_000, -900_000],
    temperature: [20, 20.1, 20.2, 20.3, 20.4],
    humidity: [50, 49, 48, 47, 46],
  })
  expect(fromColumns(toColumns(readings))).toEqual(readings)
})
it('what was read is read back, whenever and however often', () => {
  const moment = fc.date({ min: new Date('2000-01-01'), max: new Date('2100-01-01'), noInvalidDate: true })
  const reading = fc.record({
    at: moment.map((date) => date.toISOString()),
    temperature: fc.double({ min: -40, max: 60, noNaN: true }).map((degrees) => degrees || 0),
    humidity: fc.integer({ min: 0, max: 100 }),
  })
  fc.assert(
    fc.property(fc.array(reading), (readings) => {
      expect(fromColumns(toColumns(readings))).toEqual(readings)
    }),
  )
})
