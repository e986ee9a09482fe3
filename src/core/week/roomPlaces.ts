/** Where what is loose of a piece dries: in the house, and in its room where not all may lie there at one time. Pure. */
import { homeOf, type Room } from '@/core/climate/rooms'
import type { RoomId } from '@/core/measure/named'
import type { Lag, WorkshopProblem } from '@/core/schedule/problem'

/** The places there are: of the whole house, null where there is room enough; and the rooms' own. */
export interface Places {
  places: number | null
  rooms: readonly Pick<Room, 'id' | 'places'>[]
}
export const nowhere: Pick<Lag, 'rack' | 'room'> = { rack: false }

/** Rooms that have few; what a device kept from before knows of no places. */
const fewOf = ({ rooms }: Places) => rooms.flatMap(({ id, places }) => (typeof places === 'number' ? [{ id, places }] : []))

/** What is held by what dries of a piece that stands in a room; null: in the first. */
export function dryingIn(all: Places, roomId: RoomId | null): typeof nowhere {
  const home = homeOf(roomId, all.rooms)
  const room = fewOf(all).findIndex(({ id }) => id === home)
  return room < 0 ? { rack: all.places !== null } : { rack: true, room }
}
/** `parts`: no more than so many can lie to dry. */
export function poolsOf(all: Places, parts: number): WorkshopProblem['pools'] {
  const house = { spray: 1, rack: all.places ?? parts }
  const few = fewOf(all)
  return few.length > 0 ? { ...house, rooms: few.map(({ places }) => places) } : house
}
