/** Readings on their way to a device, column by column: a sensor reads at a beat, and what stays the same is a nought. Pure. */
import type { Reading } from '@/core/drying/windowFor'

export interface Columns {
  /** of the first, ms since 1970 */
  fromMs: number
  /** for each after it, by how many ms its distance from the one before is another than that one's was */
  later: number[]
  temperature: number[]
  humidity: number[]
}

/** `readings` in any order; instants as UTC to the ms. */
export function toColumns(readings: readonly Reading[]): Columns {
  const atMs = readings.map(({ at }) => Date.parse(at))
  const apart = atMs.map((ms, k) => ms - (atMs[k - 1] ?? ms))
  return {
    fromMs: atMs[0] ?? 0,
    later: apart.map((ms, k) => ms - (apart[k - 1] ?? 0)).slice(1),
    temperature: readings.map(({ temperature }) => temperature),
    humidity: readings.map(({ humidity }) => humidity),
  }
}
export function fromColumns({ fromMs, later, temperature, humidity }: Columns): Reading[] {
  let [ms, apart] = [fromMs, 0]
  return temperature.map((degrees, k) => {
    apart += later[k - 1] ?? 0
    ms += apart
    return { at: new Date(ms).toISOString(), temperature: degrees, humidity: humidity[k] ?? 0 }
  })
}
