/** The air as it was last read. Pure. */
import type { Air } from '@/core/drying/air'
import type { Reading } from '@/core/drying/windowFor'

const readLatelyMs = 6 * 3_600_000

/** The last reading at or before `nowMs`, of readings in any order; null where it is older than six hours. */
export function lastAir(climate: readonly Reading[], nowMs: number): Air | null {
  const last = climate.reduce<Reading | null>(
    (latest, reading) => (Date.parse(reading.at) <= nowMs && (latest === null || reading.at > latest.at) ? reading : latest),
    null,
  )
  return last && nowMs - Date.parse(last.at) <= readLatelyMs ? { temperature: last.temperature, humidity: last.humidity } : null
}
