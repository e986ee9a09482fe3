import { describe, expect, test } from 'vitest'
import type { PlannedStep } from '@/core/finish/step'
import { usualHours } from '@/core/measure/workingHours'
import { step as timedStep, wait } from '@/core/testing/timed'
import type { TimedPart } from './lane'
import { layOut } from './timeline'

const step = (operation: PlannedStep['operation'], minutes: number, opens = 0, closes?: number) =>
  timedStep(operation, minutes, wait(opens, closes))
const at = (day: number, hour: number, minute = 0) => day * 1440 + hour * 60 + minute
const laid = (parts: TimedPart[], startAt: number, hours = usualHours) =>
  layOut(parts, hours, startAt, 1).slots.map(({ partId, start, end, awkward, missed }) => ({
    partId,
    start,
    end,
    ...(awkward && { awkward }),
    ...(missed && { missed }),
  }))

describe('what is under way when the days are laid', () => {
  test('a window that closes at 22:33 is not kept by tomorrow’s nine o’clock, and says so', () => {
    const parts = [{ id: 'body', steps: [step('tinted-wax', 20)], closesAt: at(0, 22, 33) }]
    expect(laid(parts, at(0, 21, 48))).toEqual([{ partId: 'body', start: at(1, 9), end: at(1, 9, 20), awkward: true }])
  })
  test('one that closes at 10:00 goes before a longer step that was named first', () => {
    const parts = [
      { id: 'a', steps: [step('sand', 90)] },
      { id: 'b', steps: [step('wax-off', 15)], closesAt: at(0, 10) },
    ]
    expect(laid(parts, at(0, 9)).map(({ partId }) => partId)).toEqual(['b', 'a'])
  })
  test('a step that runs goes on from now, for what is left of it, whatever the hour', () => {
    const parts = [{ id: 'a', steps: [step('coat', 26, 60), step('coat', 26)], worked: 22 }]
    expect(laid(parts, at(0, 18))).toEqual([
      { partId: 'a', start: at(0, 18), end: at(0, 18, 4) },
      { partId: 'a', start: at(1, 9), end: at(1, 9, 26) },
    ])
  })
  test('a window that is gone is marked as missed, and its step laid all the same', () => {
    const parts = [{ id: 'doors', steps: [step('scrape', 40)], missed: true }]
    expect(laid(parts, at(0, 9))).toEqual([{ partId: 'doors', start: at(0, 9), end: at(0, 9, 40), missed: true }])
  })
  test('what stands still in this air is told no day; the other parts are', () => {
    const { slots, stuck } = layOut(
      [
        { id: 'cold', steps: [step('coat', 30)], readyAt: Infinity },
        { id: 'wood', steps: [step('sand', 30)] },
      ],
      usualHours,
      at(0, 9),
    )
    expect([slots.map(({ partId }) => partId), stuck]).toEqual([['wood'], [{ partId: 'cold', index: 0 }]])
  })
  test('a window that closes while its coat stands still keeps nobody from another that closes soon', () => {
    const { slots, stuck } = layOut(
      [
        { id: 'cold', steps: [step('coat', 30)], readyAt: Infinity, closesAt: at(0, 12) },
        { id: 'wax', steps: [step('clear-wax', 20, 30, 60), step('wax-off', 10)] },
      ],
      usualHours,
      at(0, 9),
    )
    expect([slots.map(({ partId }) => partId), stuck]).toEqual([['wax', 'wax'], [{ partId: 'cold', index: 0 }]])
  })
})
