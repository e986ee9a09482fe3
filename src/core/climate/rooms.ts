/** The rooms of a workshop, and which air a piece stands in. Pure. */
import type { Reading } from '@/core/drying/windowFor'
import { compareText } from '@/core/measure/compareText'
import type { RoomId } from '@/core/measure/named'

export interface Room {
  id: RoomId
  name: string
  /** the sensor's own name for it; null where readings are typed */
  sensor: string | null
  /** how many loose parts may lie to dry in it at one time; null where there is room enough */
  places: number | null
}
export interface RoomReading extends Reading {
  roomId: RoomId | null
}
/** What was read in a room and believed, oldest first; null: in none by name. */
export interface RoomAir {
  roomId: RoomId | null
  readings: readonly Reading[]
}
/** Believed readings by room, oldest first; those of no room are the first room's, or '' where no room is named. */
export type Climates = Readonly<Record<string, readonly Reading[]>>

/** The room that something stands in, or was read in: the first where none was named. */
export const homeOf = (roomId: RoomId | null, rooms: readonly Pick<Room, 'id'>[]): string => roomId ?? rooms[0]?.id ?? ''

/** Of each room once at most; a room's readings are the very same, for what follows from them is kept with them. */
export function climatesOf(air: readonly RoomAir[], rooms: readonly Room[]): Climates {
  const climates: Record<string, readonly Reading[]> = {}
  for (const { roomId, readings } of air) {
    const home = homeOf(roomId, rooms)
    const others = climates[home]
    climates[home] = others ? [...others, ...readings].sort((one, other) => compareText(one.at, other.at)) : readings
  }
  return climates
}

/** The air of a room; where it was never read, the first room's. */
export const climateIn = (climates: Climates, roomId: RoomId | null, rooms: readonly Room[]): readonly Reading[] =>
  climates[homeOf(roomId, rooms)] ?? climates[homeOf(null, rooms)] ?? []
