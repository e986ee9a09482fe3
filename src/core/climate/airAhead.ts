/**
 * The air that is expected: through the hours of a day as it was over the last weeks, and as somebody said it will be. What dries is
 * reckoned through it, moment by moment. °C, %, minutes at the reference air; pure.
 */
import { type Air, type ClockKind, dryingSpeed } from '@/core/drying/air'
import type { Day, RoomId } from '@/core/measure/named'

const minuteMs = 60_000
const dayMs = 86_400_000
/** what has not dried by then stands still */
const mostDays = 90

/** What somebody said of the days to come, of one room or of all. */
export interface Forecast {
  id: string
  /** null: of all rooms */
  roomId: RoomId | null
  /** both counted */
  from: Day
  to: Day
  /** null: as it usually is, after all */
  air: Air | null
}
/** What still says something of what was said, the newest first: not what was taken back, or said otherwise for the same days and room. */
export function inForce(all: readonly Forecast[]): Forecast[] {
  const covers = (newer: Forecast, older: Forecast) =>
    (newer.roomId === null || newer.roomId === older.roomId) && newer.from <= older.from && newer.to >= older.to
  return all.filter((each, k) => each.air !== null && !all.slice(0, k).some((newer) => covers(newer, each)))
}
export interface AirAhead {
  /** a day from midnight UTC on, in stretches of one length; one where nothing is known of its hours */
  usual: readonly Air[]
  /** what was said of stretches of time, ms, the newest first */
  said: readonly { fromMs: number; toMs: number; air: Air | null }[]
}
export const alwaysAir = (air: Air): AirAhead => ({ usual: [air], said: [] })
/** Whether it is the same at every hour. */
export const isSteady = ({ usual, said }: AirAhead): boolean =>
  said.length === 0 &&
  usual.every(({ temperature, humidity }) => temperature === usual[0]?.temperature && humidity === usual[0].humidity)

/** The air expected at a moment, ms. Throws where no air is known. */
export function airAheadAt({ usual, said }: AirAhead, ms: number): Air {
  const told = said.find(({ fromMs, toMs }) => fromMs <= ms && ms < toMs)
  const air = told?.air ?? usual[Math.floor(((ms % dayMs) * usual.length) / dayMs)]
  if (!air) throw new Error('an expected air has at least one stretch')
  return air
}

/** The next moment after one at which another air may begin. */
function nextEdge({ usual, said }: AirAhead, ms: number): number {
  const stretch = dayMs / usual.length
  let next = (Math.floor(ms / stretch) + 1) * stretch
  for (const { fromMs, toMs } of said) for (const edge of [fromMs, toMs]) if (edge > ms && edge < next) next = edge
  return next
}

/** How long a clock takes from a moment on, in minutes; infinite where it stands still. `reference`: minutes at the reference air. */
export function minutesThrough(ahead: AirAhead, kind: ClockKind, reference: number, fromMs: number): number {
  if (reference <= 0) return 0
  if (reference === Infinity) return Infinity
  if (isSteady(ahead)) return reference / dryingSpeed(kind, airAheadAt(ahead, fromMs))
  let left = reference
  let at = fromMs
  while (at < fromMs + mostDays * dayMs) {
    const speed = dryingSpeed(kind, airAheadAt(ahead, at))
    const edge = nextEdge(ahead, at)
    const dries = (speed * (edge - at)) / minuteMs
    if (dries >= left) return (at - fromMs) / minuteMs + left / speed
    left -= dries
    at = edge
  }
  return Infinity
}
