import fc from 'fast-check'
import { expect, test } from 'vitest'
import { clockBody, clockText, coatBody, coatText } from './apiWork'
import { benchWrites, entryFromText } from './bench'
import { coatInput } from './entry'
import type { House } from './fields'

const houses: House[] = [
  { currency: 'GBP', units: 'metric', zone: 'UTC', locale: 'en-GB' },
  { currency: 'USD', units: 'us', zone: 'UTC', locale: 'en-US' },
  { currency: 'EUR', units: 'metric', zone: 'UTC', locale: 'de-DE' },
]
const uuid = (n: number) => `01900000-0000-7000-8000-${String(n).padStart(12, '0')}`
const on = { entryId: uuid(1), at: '2026-05-04T09:00:00.000Z', partId: uuid(2), stepId: uuid(3) }
const pieceId = uuid(9)

test.each([
  ['start', 'started'],
  ['pause', 'paused'],
  ['resume', 'resumed'],
  ['end', 'ended'],
] as const)('%s is what the bench writes as %s', (does, kind) => {
  const { action, typed } = clockText(pieceId, clockBody.parse({ ...on, does, minutes: 25 }))
  const entry = entryFromText(action, typed, houses[0] as House)
  expect(entry).toMatchObject({ kind, id: uuid(1), pieceId, partId: uuid(2), stepId: uuid(3), personId: null })
  // labour is said where it ends, and nowhere else
  expect(entry && 'minutes' in entry ? entry.minutes : null).toBe(does === 'end' ? 25 : null)
})
test('a coat is as much and as warm in every house as the program said, however that house measures and writes', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...houses),
      fc.constantFrom('clay' as const, 'dark-wax' as const),
      fc.integer({ min: 1, max: 999_999 }),
      fc.integer({ min: -300, max: 500 }),
      (house, family, hundredths, tenths) => {
        const body = coatBody.parse({ ...on, family, amount: hundredths / 100, temperature: tenths / 10, personId: uuid(4) })
        const read = coatInput(house).parse(coatText(pieceId, body))
        expect(read.amount).toBeCloseTo(hundredths / 100, 2)
        expect(read.temperature).toBeCloseTo(tenths / 10, 9)
        expect(read).toMatchObject({ family, personId: uuid(4), productId: null, lotId: null, humidity: null, sheen: null })
      },
    ),
  )
  expect(Object.keys(benchWrites)).toContain('logCoat')
})
