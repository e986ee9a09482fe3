/**
 * Whether a reading of the air is believed: sensors die, are knocked, lie in the sun. What is not believed is kept, marked,
 * and moves no window. Temperature in °C, humidity in %; pure. Thresholds are practice.
 */
import type { Reading } from '@/core/drying/windowFor'
import type { Instant } from '@/core/measure/named'

export const doubts = {
  absurd: 'beyond what a workshop can be',
  stuck: 'the same for hours: the sensor may be dead',
  jump: 'too sudden to be the air',
} as const
export type Doubt = keyof typeof doubts
export interface JudgedReading extends Reading {
  doubt: Doubt | null
}

export const believable = { temperature: [-30, 50], humidity: [1, 100] } as const
const stuckMs = 6 * 3_600_000
/** fewer in that time say nothing */
const stuckReadings = 8
const suddenMs = 15 * 60_000
const sudden = { temperature: 12, humidity: 45 }
/** two that say the same jump are the air after all */
const agree = { temperature: 2, humidity: 8 }

const within = (value: number, [low, high]: readonly [number, number]) => value >= low && value <= high
const apart = (a: Reading, b: Reading, by: { temperature: number; humidity: number }) =>
  Math.abs(a.temperature - b.temperature) > by.temperature || Math.abs(a.humidity - b.humidity) > by.humidity

/** Judges a sensor's next reading by those before it, oldest first. A typed reading is only ever absurd. */
export function doubtOf(reading: Reading, before: readonly JudgedReading[]): Doubt | null {
  if (!within(reading.temperature, believable.temperature) || !within(reading.humidity, believable.humidity)) return 'absurd'
  const at = Date.parse(reading.at)
  const same = before.slice(before.findLastIndex((each) => apart(each, reading, { temperature: 0, humidity: 0 })) + 1)
  const first = same[0]
  if (first && same.length >= stuckReadings && at - Date.parse(first.at) >= stuckMs) return 'stuck'
  const last = before.at(-1)
  const trusted = before.findLast(({ doubt }) => doubt === null)
  if (!trusted || at - Date.parse(trusted.at) > suddenMs || !apart(reading, trusted, sudden)) return null
  return last?.doubt === 'jump' && !apart(reading, last, agree) ? null : 'jump'
}

/** No believed reading for so long, and the last one holds by hope alone. */
const silentMs = 3 * 3_600_000
export const isSilent = (lastAt: Instant | null, nowMs: number): boolean =>
  lastAt !== null && nowMs - Date.parse(lastAt) > silentMs
