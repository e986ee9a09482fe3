/**
 * The air of a small workshop, made up: day and night, heaters that are turned down for the night, rain, and the faults that sensors have.
 * The same moment gives the same air, so that a week can be told again. °C and % relative humidity; pure.
 */
import type { Instant } from '@/core/measure/named'

export interface SensorReading {
  /** the sensor's own name for the room */
  room: string
  /** ISO 8601, UTC */
  at: Instant
  temperature: number
  humidity: number
}
export type Fault = 'none' | 'dead' | 'sun' | 'silent'
export interface SensorRoom {
  name: string
  /** what the heater holds by day and by night; null where there is none */
  heatedTo: { day: number; night: number } | null
  /** how much of the day outside comes in */
  open: number
}
export const rooms: readonly SensorRoom[] = [
  { name: 'loft', heatedTo: { day: 20.5, night: 19 }, open: 0.15 },
  { name: 'wax room', heatedTo: { day: 18.5, night: 15 }, open: 0.35 },
  { name: 'back store', heatedTo: null, open: 0.7 },
]

const hourMs = 3_600_000
const dayMs = 24 * hourMs

/** A number between 0 and 1 that belongs to this seed. */
function chance(seed: number): number {
  const x = Math.sin(seed * 12.9898) * 43_758.5453
  return x - Math.floor(x)
}
/** Swings smoothly from one day's chance to the next. */
function drift(ms: number, seed: number): number {
  const day = Math.floor(ms / dayMs)
  const part = (ms % dayMs) / dayMs
  const ease = part * part * (3 - 2 * part)
  return chance(day + seed) * (1 - ease) + chance(day + 1 + seed) * ease
}

/** Outside: the season, the hour, the weather of the day; it rains on every third day or so. */
function outside(ms: number): { temperature: number; rain: number } {
  const date = new Date(ms)
  const month = date.getUTCMonth() + date.getUTCDate() / 31
  const season = 11 - 8 * Math.cos(((month - 0.6) / 12) * 2 * Math.PI)
  const hour = (ms % dayMs) / hourMs
  const daily = 4 * Math.sin(((hour - 9) / 24) * 2 * Math.PI)
  return { temperature: season + daily + 5 * (drift(ms, 3) - 0.5), rain: Math.max(0, drift(ms, 17) - 0.6) * 2.5 }
}

/** The true air of a room. */
export function airIn(room: SensorRoom, ms: number): { temperature: number; humidity: number } {
  const { temperature: out, rain } = outside(ms)
  const hour = (ms % dayMs) / hourMs
  const shell = 14 + room.open * (out - 12)
  const byDay = Math.max(0, Math.min(1, hour - 6.5, (21 - hour) / 2.5))
  const held = room.heatedTo ? room.heatedTo.night + byDay * (room.heatedTo.day - room.heatedTo.night) : shell
  // a heater only heats
  const temperature = Math.max(shell, held) + 0.6 * (drift(ms * 6, 41) - 0.5)
  // warmed air is drier, rain comes through the door
  const humidity = 62 + 25 * rain * room.open - 1.6 * (temperature - shell) - 0.4 * (shell - 14) + 6 * (drift(ms, 29) - 0.5)
  return {
    temperature: Math.round(temperature * 10) / 10,
    humidity: Math.round(Math.min(97, Math.max(22, humidity))),
  }
}

/** What the sensor of a room says: the air, or what its fault makes of it; null where it says nothing. */
export function readSensor(room: SensorRoom, ms: number, fault: Fault): SensorReading | null {
  if (fault === 'silent') return null
  const at = new Date(ms).toISOString()
  // a dead one repeats the last thing it knew, for ever
  if (fault === 'dead') return { room: room.name, at, ...airIn(room, 0) }
  const air = airIn(room, ms)
  // sun on the case at noon
  return { room: room.name, at, ...air, ...(fault === 'sun' && { temperature: 85 }) }
}
