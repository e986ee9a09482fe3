import fc from 'fast-check'
import { expect, test } from 'vitest'
import type { PlannedStep } from '@/core/finish/step'
import { usualHours, type WorkingHours } from '@/core/measure/workingHours'
import { step as timedStep, wait } from '@/core/testing/timed'
import type { TimedPart } from './lane'
import { layOut, type Wait } from './timeline'

const step = (operation: PlannedStep['operation'], minutes: number, opens = 0, closes?: number) =>
  timedStep(operation, minutes, wait(opens, closes))

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
    { numRuns: 10_000 },
  )
})
