import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { leaveTurn, tellInTurn } from './inTurn'

vi.mock('server-only', () => ({}))
beforeEach(() => void vi.useFakeTimers())
afterEach(() => {
  vi.advanceTimersByTime(60_000)
  vi.useRealTimers()
})

test('the first is told at once, the others one after the other', () => {
  const told: string[] = []
  for (const name of ['desk', 'phone', 'tablet']) tellInTurn(() => told.push(name))
  expect(told).toEqual(['desk'])
  vi.advanceTimersByTime(200)
  expect(told).toEqual(['desk', 'phone'])
  vi.advanceTimersByTime(200)
  expect(told).toEqual(['desk', 'phone', 'tablet'])
})
test('who waits is told once of several changes, and anew of what comes after', () => {
  const [desk, phone] = [vi.fn(), vi.fn()]
  for (const tell of [desk, phone, phone, desk, phone]) tellInTurn(tell)
  vi.advanceTimersByTime(1_000)
  expect([desk.mock.calls.length, phone.mock.calls.length]).toEqual([2, 1])
  tellInTurn(phone)
  expect(phone).toHaveBeenCalledTimes(2)
})
test('who has gone is passed over, and keeps nobody waiting', () => {
  const [desk, phone, tablet] = [vi.fn(), vi.fn(), vi.fn()]
  for (const tell of [desk, phone, tablet]) tellInTurn(tell)
  expect(leaveTurn(phone)).toBe(true)
  vi.advanceTimersByTime(200)
  expect([phone.mock.calls.length, tablet.mock.calls.length]).toEqual([0, 1])
})
