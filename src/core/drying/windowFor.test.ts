import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { dryingSpeed, vapourDeficit } from './air'
import { phaseAt, phasesOf } from './phase'
import { windowFor, type WindowInput } from './windowFor'

const endedAt = '2026-05-04T09:00:00.000Z'
const base: WindowInput = {
  endedAt,
  kind: 'evaporation',
  film: 'normal',
  label: { opens: [60, 120] },
  climate: [],
  assistance: [],
}
const minutesAfter = (instant: string | null) => (instant === null ? null : (Date.parse(instant) - Date.parse(endedAt)) / 60_000)

describe('the air', () => {
  test('at 21 °C and 50 % the air still takes 12.4 hPa', () => {
    // saturation at 21 °C is 24.86 hPa by the steam tables
    expect(vapourDeficit({ temperature: 21, humidity: 50 })).toBeCloseTo(12.4, 1)
  })
  test('the reference air runs at speed 1, a cold room stands still, a boiler room at most three times as fast', () => {
    expect(dryingSpeed('evaporation', { temperature: 21, humidity: 50 })).toBe(1)
    expect(dryingSpeed('evaporation', { temperature: 9.9, humidity: 40 })).toBe(0)
    expect(dryingSpeed('cure', { temperature: 9.9, humidity: 40 })).toBe(0)
    expect(dryingSpeed('evaporation', { temperature: 45, humidity: 10 })).toBe(3)
    expect(dryingSpeed('reaction', { temperature: 31, humidity: 99 })).toBeCloseTo(2, 12)
    expect(dryingSpeed('reaction', { temperature: -20, humidity: 99 })).toBe(0.25)
  })
})

describe('a window', () => {
  test('at the reference air opens by the label: may at an hour, safely at two', () => {
    const window = windowFor(base)
    expect(minutesAfter(window.mayOpen)).toBe(60)
    expect(minutesAfter(window.opens)).toBe(120)
    expect(window.closes).toBeNull()
  })
  test('after a heavy coat opens after two and a half times as long', () => {
    expect(minutesAfter(windowFor({ ...base, film: 'heavy' }).opens)).toBe(300)
  })
  test('wax at 11 °C needs twice its time', () => {
    const climate = [{ at: endedAt, temperature: 11, humidity: 60 }]
    expect(minutesAfter(windowFor({ ...base, kind: 'reaction', climate }).opens)).toBe(240)
  })
  test('a fan for the first hour saves half an hour: 60 minutes count as 90', () => {
    const assistance = [{ from: endedAt, to: '2026-05-04T10:00:00.000Z', kind: 'fan' as const }]
    expect(minutesAfter(windowFor({ ...base, assistance }).opens)).toBe(90)
  })
  test('of a fan and a heat gun at once the faster counts', () => {
    const span = { from: endedAt, to: '2026-05-04T09:10:00.000Z' }
    const assistance = [
      { ...span, kind: 'fan' as const },
      { ...span, kind: 'heatGun' as const },
    ]
    // ten minutes count as forty; eighty are left
    expect(minutesAfter(windowFor({ ...base, assistance }).opens)).toBe(90)
  })
  test('stands still through a cold night and goes on in the morning', () => {
    const climate = [
      { at: '2026-05-04T08:00:00.000Z', temperature: 21, humidity: 50 },
      { at: '2026-05-04T10:00:00.000Z', temperature: 5, humidity: 50 },
      { at: '2026-05-05T07:00:00.000Z', temperature: 21, humidity: 50 },
    ]
    // an hour, then 21 hours of nothing, then the second hour
    expect(minutesAfter(windowFor({ ...base, climate }).opens)).toBe(120 + 21 * 60)
  })
  test('never opens where it stays too cold, and says so with nothing', () => {
    const climate = [{ at: endedAt, temperature: 4, humidity: 50 }]
    expect(windowFor({ ...base, climate })).toMatchObject({ mayOpen: null, opens: null })
  })
  test('that closes before it opens is impossible', () => {
    expect(windowFor({ ...base, label: { opens: [60, 120], closes: [90, 100] } }).impossible).toBe(true)
  })
  test('an instant that is none is refused and quoted', () => {
    expect(() => windowFor({ ...base, endedAt: 'teatime' })).toThrow('teatime')
  })
})

/** An independent way: minute by minute, adding up what each minute is worth. */
function slowly(input: WindowInput, minutes: number): number | null {
  const started = Date.parse(input.endedAt)
  const factor = { thin: 0.7, normal: 1, heavy: 2.5 }[input.film]
  const sorted = [...input.climate].sort((a, b) => Date.parse(a.at) - Date.parse(b.at))
  let clock = 0
  for (let minute = 0; minute <= 40_000; minute += 1) {
    if (clock >= minutes * factor - 1e-9) return minute
    const at = started + minute * 60_000
    let air = { temperature: 21, humidity: 50 }
    if (sorted[0]) air = sorted[0]
    for (const reading of sorted) if (Date.parse(reading.at) <= at) air = reading
    let help = 1
    for (const { from, to, kind } of input.assistance) {
      if (Date.parse(from) <= at && at < Date.parse(to)) help = Math.max(help, { none: 1, fan: 1.5, heatGun: 4 }[kind])
    }
    clock += dryingSpeed(input.kind, air) * help
  }
  return null
}

const minute = fc.integer({ min: -600, max: 3000 }).map((m) => new Date(Date.parse(endedAt) + m * 60_000).toISOString())
const anyWindow: fc.Arbitrary<WindowInput> = fc.record({
  endedAt: fc.constant(endedAt),
  kind: fc.constantFrom('evaporation' as const, 'reaction' as const, 'cure' as const),
  film: fc.constantFrom('thin' as const, 'normal' as const, 'heavy' as const),
  label: fc
    .tuple(fc.integer({ min: 0, max: 400 }), fc.integer({ min: 0, max: 400 }), fc.integer({ min: 0, max: 900 }))
    .map(([low, more, open]) => ({
      opens: [low, low + more] as const,
      closes: [low + more + open, low + more + open] as const,
    })),
  climate: fc.array(
    fc.record({ at: minute, temperature: fc.integer({ min: 2, max: 34 }), humidity: fc.integer({ min: 20, max: 97 }) }),
    { maxLength: 6 },
  ),
  assistance: fc.array(
    fc
      .tuple(minute, fc.integer({ min: 1, max: 300 }), fc.constantFrom('fan' as const, 'heatGun' as const))
      .map(([from, long, kind]) => ({
        from,
        to: new Date(Date.parse(from) + long * 60_000).toISOString(),
        kind,
      })),
    { maxLength: 3 },
  ),
})

describe('any window', () => {
  test('agrees with adding up minute by minute, to the minute', () => {
    fc.assert(
      fc.property(anyWindow, (input) => {
        const slow = slowly(input, input.label.opens[1])
        const fast = minutesAfter(windowFor(input).opens)
        if (slow === null) expect(fast === null || fast > 39_990).toBe(true)
        else expect(Math.abs((fast ?? Infinity) - slow)).toBeLessThanOrEqual(1)
      }),
      { numRuns: 300 },
    )
  })
  test('opens before it closes, may open before it opens, and later for a heavier film', () => {
    fc.assert(
      fc.property(anyWindow, (input) => {
        const { mayOpen, opens, closes, lateFrom } = windowFor(input)
        const order = [mayOpen, opens, closes, lateFrom].map((at) => (at === null ? Infinity : Date.parse(at)))
        expect([...order].sort((a, b) => a - b)).toEqual(order)
        const heavier = windowFor({ ...input, film: 'heavy' }).opens
        expect(heavier === null ? Infinity : Date.parse(heavier)).toBeGreaterThanOrEqual(order[1] ?? 0)
      }),
    )
  })
  test('its phases follow each other without a gap, and every moment has one', () => {
    fc.assert(
      fc.property(anyWindow, fc.integer({ min: 0, max: 5000 }), (input, later) => {
        const start = Date.parse(endedAt)
        const segments = phasesOf(windowFor(input), start)
        segments.forEach((segment, k) => k > 0 && expect(segment.fromMs).toBe(segments[k - 1]?.toMs))
        expect(segments[0]?.fromMs).toBe(start)
        const order = ['shut', 'open', 'best', 'closing', 'gone']
        const met = order.indexOf(phaseAt(segments, start + later * 60_000))
        const next = order.indexOf(phaseAt(segments, start + (later + 30) * 60_000))
        expect(next).toBeGreaterThanOrEqual(met)
      }),
    )
  })
})

test('a window of two hours is closing in its last quarter', () => {
  const window = windowFor({ ...base, label: { opens: [60, 60], closes: [180, 180] } })
  const at = (minutes: number) => phaseAt(phasesOf(window, Date.parse(endedAt)), Date.parse(endedAt) + minutes * 60_000)
  expect([0, 59, 60, 149, 150, 179, 180].map(at)).toEqual(['shut', 'shut', 'best', 'best', 'closing', 'closing', 'gone'])
})

test('a window read by the climate’s clock is the one that is read stretch by stretch', () => {
  const minute = fc.integer({ min: -3_000, max: 6_000 }).map((minutes) => Date.parse(endedAt) + minutes * 60_000)
  const reading = fc.record({
    at: minute.map((ms) => new Date(ms).toISOString()),
    temperature: fc.integer({ min: 4, max: 35 }),
    humidity: fc.integer({ min: 10, max: 95 }),
  })
  const range = fc
    .tuple(fc.integer({ min: 0, max: 400 }), fc.integer({ min: 0, max: 3_000 }))
    .map(([a, b]) => [a, a + b] as const)
  fc.assert(
    fc.property(
      fc.array(reading, { minLength: 1, maxLength: 12 }),
      fc.constantFrom('evaporation' as const, 'reaction' as const, 'cure' as const),
      range,
      range,
      fc.constantFrom('thin' as const, 'normal' as const, 'heavy' as const),
      (climate, kind, opens, closes, film) => {
        const input: WindowInput = { ...base, kind, film, label: { opens, closes }, climate }
        // help that does not help is read stretch by stretch
        const idle = [{ from: endedAt, to: '2026-09-01T00:00:00.000Z', kind: 'none' as const }]
        const [clock, stretched] = [windowFor(input), windowFor({ ...input, assistance: idle })]
        const ms = (instant: string | null) => (instant === null ? null : Date.parse(instant))
        for (const key of ['mayOpen', 'opens', 'closes', 'lateFrom'] as const) {
          const [one, other] = [ms(clock[key]), ms(stretched[key])]
          expect(one === null).toBe(other === null)
          // at half a minute a hair decides
          expect(Math.abs((one ?? 0) - (other ?? 0))).toBeLessThanOrEqual(60_000)
        }
      },
    ),
    { numRuns: 2_000 },
  )
})
