/** Whether a reading says anything that the last one did not: the air is written down as it changes, not as it is asked. Pure. */
import type { JudgedReading } from './believe'

/** finer than this moves no window by a minute worth telling */
const step = { temperature: 0.4 - 1e-9, humidity: 2 }
/** an air that does not change is said again this often, so that silence means silence */
const sayAgainMs = 30 * 60_000

export function isNews(reading: JudgedReading, last: JudgedReading | null): boolean {
  if (!last || last.doubt !== reading.doubt) return true
  return (
    Math.abs(reading.temperature - last.temperature) >= step.temperature ||
    Math.abs(reading.humidity - last.humidity) >= step.humidity ||
    Date.parse(reading.at) - Date.parse(last.at) >= sayAgainMs
  )
}
