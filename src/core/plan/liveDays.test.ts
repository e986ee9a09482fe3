import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { PlannedStep } from '@/core/finish/step'
import { usualHours, type WorkingHours } from '@/core/measure/workingHours'
import { step as timedStep, wait } from '@/core/testing/timed'
import type { TimedPart } from './lane'
import { layOut, type Wait } from './timeline'

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

/** Any situation a studio may be in: parts wet, open, closing, late or running, in an air of its own. */
const anySteps = fc.array(
  fc
    .record({
      minutes: fc.integer({ min: 4, max: 150 }),
      opens: fc.constantFrom(0, 15, 30, 60, 120, 720),
      stays: fc.constantFrom(undefined, 15, 40, 240, 1200),
    })
    .map(({ minutes, opens, stays }) => step('coat', minutes, opens, stays === undefined ? undefined : opens + stays)),
  { minLength: 1, maxLength: 5 },
)
const anyPart = (startAt: number) =>
  fc
    .record({
      steps: anySteps,
      state: fc.constantFrom('free', 'wet', 'closing', 'missed', 'running'),
      soon: fc.integer({ min: 0, max: 900 }),
      stays: fc.integer({ min: 1, max: 600 }),
    })
    .map(({ steps, state, soon, stays }): Omit<TimedPart, 'id'> => {
      if (state === 'running') return { steps, worked: soon % 60 }
      if (state === 'missed') return { steps, missed: true }
      if (state === 'wet') return { steps, readyAt: startAt + soon }
      return state === 'closing'
        ? { steps, readyAt: startAt + (soon % 120), closesAt: startAt + (soon % 120) + stays }
        : { steps }
    })
const anyHours: fc.Arbitrary<WorkingHours> = fc.constantFrom(
  usualHours,
  { from: 540, to: 660, days: [1, 2, 3, 4, 5] },
  { from: 1080, to: 1260, days: [0, 1, 2, 3, 4, 5, 6] },
  { from: 540, to: 1020, days: [6] },
)
const anySituation = fc.constantFrom(0, 300, 555, 720, 1005, 1310).chain((startAt) =>
  fc.record({
    startAt: fc.constant(startAt),
    parts: fc.array(anyPart(startAt), { minLength: 1, maxLength: 4 }),
    hours: anyHours,
    weekday: fc.integer({ min: 0, max: 6 }),
    pace: fc.constantFrom(0.4, 0.7, 1, 1.8, 3),
  }),
)

test('in any situation no step begins before its window opens, and none after it closed without a mark', () => {
  fc.assert(
    fc.property(anySituation, ({ startAt, parts: bare, hours, weekday, pace }) => {
      const parts = bare.map((part, k) => ({ ...part, id: String(k) }))
      const waitAfter = ({ window }: PlannedStep): Wait => ({
        opens: Math.ceil((window?.opens[1] ?? 0) / pace),
        closes: window?.closes ? Math.floor(window.closes[0] / pace) : Infinity,
      })
      const { slots } = layOut(parts, hours, startAt, weekday, waitAfter)
      expect(slots).toHaveLength(parts.reduce((sum, { steps }) => sum + steps.length, 0))
      let busyUntil: number = startAt
      for (const slot of slots) {
        const part = parts.find(({ id }) => id === slot.partId)
        const runs = part?.worked !== undefined && slot.index === 0
        // one painter, one thing at a time, in the hours that are worked
        expect(slot.start).toBeGreaterThanOrEqual(busyUntil)
        busyUntil = slot.end
        const day = Math.floor(slot.start / 1440)
        if (!runs) expect([hours.days.includes((weekday + day) % 7), slot.start % 1440 >= hours.from]).toEqual([true, true])
        // what came before it on this part, or the window it stands in
        const last = slots.find(({ partId, index }) => partId === slot.partId && index === slot.index - 1)
        const after = last && part ? waitAfter(part.steps[last.index] as PlannedStep) : null
        const opens = last && after ? last.end + after.opens : (part?.readyAt ?? startAt)
        const closes = last && after ? last.end + after.closes : (part?.closesAt ?? Infinity)
        expect(slot.start).toBeGreaterThanOrEqual(Math.min(opens, runs ? startAt : opens))
        if (slot.start > closes) expect(slot.awkward).toBe(true)
        expect(slot.missed).toBe(slot.index === 0 && part?.missed === true)
      }
    }),
    { numRuns: 2_000 },
  )
})
