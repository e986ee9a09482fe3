/**
 * The clock against another way of telling the same time: ten thousand windows walked minute by minute, with the physics
 * written out once more, through steps of the air, fans and heat guns, every film, and the nights when the clocks change.
 */
import fc from 'fast-check'
import { expect, test } from 'vitest'
import { instantOf, wallTimeOf } from '@/core/measure/time'
import { windowFor, type WindowInput } from './windowFor'

const minuteMs = 60_000
/** a day and a half each side of a night when the clocks change, in each place's own way */
const nights = [
  ['Europe/London', '2026-03-28T18:00'],
  ['Europe/London', '2026-10-24T20:30'],
  ['America/New_York', '2026-03-07T17:00'],
  ['America/New_York', '2026-10-31T19:15'],
  ['Australia/Lord_Howe', '2026-04-04T16:45'],
  ['America/St_Johns', '2026-11-01T00:30'],
  ['Asia/Kolkata', '2026-06-15T08:00'],
] as const

/** hPa that dry air at this temperature could still take up, by the Magnus form. */
const thirst = (celsius: number, percent: number) =>
  6.112 * Math.E ** ((17.62 * celsius) / (243.12 + celsius)) -
  (percent / 100) * 6.112 * Math.E ** ((17.62 * celsius) / (243.12 + celsius))

function pace(kind: WindowInput['kind'], celsius: number, percent: number): number {
  if (celsius < 10 && kind !== 'reaction') return 0
  const raw = kind === 'evaporation' ? thirst(celsius, percent) / thirst(21, 50) : Math.pow(2, (celsius - 21) / 10)
  return raw < 0.25 ? 0.25 : raw > 3 ? 3 : raw
}

/** Minutes from the end of the step to each target of drying, walked; null where it is not reached in the days walked. */
function walk(input: WindowInput, targets: readonly number[], mostMinutes: number): (number | null)[] {
  const start = Date.parse(input.endedAt)
  const climate = [...input.climate].sort((a, b) => Date.parse(a.at) - Date.parse(b.at))
  const reached: (number | null)[] = targets.map((target) => (target <= 0 ? 0 : null))
  let dried = 0
  let next = 0
  const paceIn = (air: { temperature: number; humidity: number }) => pace(input.kind, air.temperature, air.humidity)
  let speed = paceIn(climate[0] ?? { temperature: 21, humidity: 50 })
  const times = climate.map(({ at }) => Date.parse(at))
  const helps = input.assistance.map(({ from, to, kind }) => ({ from: Date.parse(from), to: Date.parse(to), kind }))
  for (let minute = 0; minute < mostMinutes; minute += 1) {
    const now = start + minute * minuteMs
    for (; (times[next] ?? Infinity) <= now; next += 1) speed = paceIn(climate[next] ?? { temperature: 21, humidity: 50 })
    let push = 1
    for (const { from, to, kind } of helps)
      if (from <= now && now < to) push = Math.max(push, kind === 'heatGun' ? 4 : kind === 'fan' ? 1.5 : 1)
    const step = speed * push
    targets.forEach((target, k) => {
      if (reached[k] === null && dried + step >= target) reached[k] = minute + (target - dried) / step
    })
    dried += step
    if (!reached.includes(null)) break
  }
  return reached
}

const formats = new Map<string, Intl.DateTimeFormat>()
function onTheWall(zone: string): Intl.DateTimeFormat {
  const known = formats.get(zone) ?? new Intl.DateTimeFormat('en-GB', { timeZone: zone, hour: '2-digit', minute: '2-digit' })
  formats.set(zone, known)
  return known
}
/** Minutes of the day the place's clock shows ahead of UTC's. */
function offsetOf(zone: string, at: number): number {
  const [hours, minutes] = onTheWall(zone).format(at).split(':').map(Number)
  const utc = new Date(at).getUTCHours() * 60 + new Date(at).getUTCMinutes()
  return ((hours ?? 0) * 60 + (minutes ?? 0) - utc + 1440) % 1440
}

const range = fc
  .tuple(fc.integer({ min: 0, max: 900 }), fc.integer({ min: 0, max: 600 }))
  .map(([low, more]) => [low, low + more] as const)
const anyWindow = fc
  .record({
    night: fc.constantFrom(...nights),
    later: fc.integer({ min: 0, max: 1800 }),
    kind: fc.constantFrom('evaporation', 'reaction', 'cure'),
    film: fc.constantFrom('thin', 'normal', 'heavy'),
    opens: range,
    closes: fc.option(range, { nil: undefined }),
    climate: fc.array(
      fc.record({
        at: fc.integer({ min: -300, max: 3000 }),
        temperature: fc.double({ min: 4, max: 38, noNaN: true }),
        humidity: fc.double({ min: 15, max: 98, noNaN: true }),
      }),
      { maxLength: 6 },
    ),
    assistance: fc.array(
      fc.record({
        from: fc.integer({ min: -60, max: 900 }),
        minutes: fc.integer({ min: 1, max: 400 }),
        kind: fc.constantFrom('fan', 'heatGun', 'none'),
      }),
      { maxLength: 3 },
    ),
  })
  .map(({ night: [zone, wall], later, kind, film, opens, closes, climate, assistance }) => {
    const start = Date.parse(instantOf(wall, zone) ?? '') + later * minuteMs
    const at = (minute: number) => new Date(start + minute * minuteMs).toISOString()
    const input: WindowInput = {
      endedAt: at(0),
      kind: kind,
      film: film,
      label: { opens, ...(closes && { closes }) },
      climate: climate.map((reading) => ({ ...reading, at: at(reading.at) })),
      assistance: assistance.map((help) => ({
        from: at(help.from),
        to: at(help.from + help.minutes),
        kind: help.kind as 'fan',
      })),
    }
    return { input, zone, start }
  })

test('ten thousand windows agree with a slow walk, minute by minute, whatever the air, the fan, the film and the clocks do', () => {
  let [compared, still, acrossChange] = [0, 0, 0]
  fc.assert(
    fc.property(anyWindow, ({ input, zone, start }) => {
      const film = { thin: 0.7, normal: 1, heavy: 2.5 }[input.film]
      const { opens, closes } = input.label
      const targets = [opens[0], opens[1], closes?.[0] ?? 0, closes?.[1] ?? 0].map((minutes) => minutes * film)
      // a clock that runs at all has run the longest label by then: 1500 × 2.5 at a quarter of the pace, after 3000 minutes
      const walked = walk(input, targets, 3000 + 15_100)
      const told = windowFor(input)
      const fields = [told.mayOpen, told.opens, ...(closes ? [told.closes, told.lateFrom] : [])]
      fields.forEach((instant, k) => {
        const minutes = walked[k]
        if (minutes === null || minutes === undefined) {
          still += 1
          return expect(instant).toBeNull()
        }
        const toldMinutes = (Date.parse(instant ?? '') - start) / minuteMs
        // on the nearest whole minute, and either where a half is a matter of the last digit
        expect(Number.isInteger(toldMinutes)).toBe(true)
        expect(Math.abs(toldMinutes - minutes)).toBeLessThanOrEqual(0.5 + 1e-6)
        // on the wall it reads as the platform's own calendar has it for that place
        if (k === 1 && instant) {
          expect(wallTimeOf(instant, zone).slice(11)).toBe(onTheWall(zone).format(Date.parse(instant)))
          if (offsetOf(zone, Date.parse(instant)) !== offsetOf(zone, start)) acrossChange += 1
        }
        compared += 1
      })
      if (!closes) expect([told.closes, told.lateFrom, told.impossible]).toEqual([null, null, false])
    }),
    { numRuns: 10_000 },
  )
  // the test saw what it is for
  expect(compared).toBeGreaterThan(20_000)
  expect(still).toBeGreaterThan(100)
  expect(acrossChange).toBeGreaterThan(500)
})
