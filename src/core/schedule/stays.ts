/** Stays at drying places, as they are laid: when each begins, and when those end whose end is laid; a place is kept for all others. Minutes; pure. */
import { never } from './calendar'
import { InOrder } from './inOrder'
import type { Memory } from './memory'
import type { WorkshopProblem } from './problem'
import { open } from './waitTable'

/** Places that are counted together: a house's, or a room's. */
class Stay {
  private readonly begins: InOrder
  private readonly ends: InOrder

  constructor(
    most: number,
    readonly places: number,
    memory: Memory,
  ) {
    this.begins = new InOrder(most, memory)
    this.ends = new InOrder(most, memory)
  }
  begin(minute: number): void {
    this.begins.put(minute)
  }
  end(minute: number): void {
    this.ends.put(minute)
  }
  takeBegin(minute: number): void {
    this.begins.take(minute)
  }
  takeEnd(minute: number): void {
    this.ends.take(minute)
  }
  /** Whether so many more may be kept to no end yet. */
  mayKeep(more: number): boolean {
    return this.begins.count - this.ends.count + more <= this.places
  }
  /** For how many minutes things dry that have no place, each by itself. */
  get overfull(): number {
    const { at: begins, count } = this.begins
    const { at: ends } = this.ends
    const { places } = this
    let begun = 0
    let now = 0
    let sum = 0
    for (let ended = 0; ended < count && count - ended > places;) {
      const next = Math.min(begun < count ? (begins[begun] ?? 0) : open, ends[ended] ?? 0)
      sum += Math.max(0, begun - ended - places) * (next - now)
      now = next
      while (begun < count && begins[begun] === now) begun += 1
      while (ended < count && ends[ended] === now) ended += 1
    }
    return sum
  }
  /** How long it is from a minute until so many more have a place at any time before another; {@link open} where that never is. */
  waitFrom(minute: number, until: number, more: number): number {
    const { at: begins, count: stays } = this.begins
    const { at: ends, count: over } = this.ends
    const most = this.places - more
    if (until <= minute) return 0
    // from the last end on back: just before it as many hold as end no sooner, without those that begin no sooner
    let [ended, begun] = [over, stays]
    for (let end = until; end > minute; end = ends[ended - 1] ?? 0) {
      while (ended > 0 && (ends[ended - 1] ?? 0) >= end) ended -= 1
      while (begun > 0 && (begins[begun - 1] ?? 0) >= end) begun -= 1
      if (begun - ended > most) return ended < over ? (ends[ended] ?? 0) - minute : open
      if (ended === 0) return 0
    }
    return 0
  }
}

/** The house's, and those of rooms that have few. A step's are of the room that its part dries in. */
export class Stays {
  private readonly house: Stay
  private readonly rooms: readonly Stay[]
  /** by step: the room in which it dries, or comes from drying; none where that has no number of its own */
  private readonly roomOf: readonly (Stay | null)[]

  constructor({ steps, lags, pools }: Pick<WorkshopProblem, 'steps' | 'lags' | 'pools'>, memory: Memory) {
    const stays = lags.filter(({ rack }) => rack)
    this.house = new Stay(stays.length, pools.rack, memory)
    const inRoom = (room: number) => stays.filter((lag) => lag.room === room)
    this.rooms = (pools.rooms ?? []).map((places, room) => new Stay(inRoom(room).length, places, memory))
    const roomOf = steps.map((): Stay | null => null)
    for (const { from, to, room } of stays)
      for (const step of [from ?? never, to]) if (step !== never) roomOf[step] = this.rooms[room ?? never] ?? null
    this.roomOf = roomOf
    for (const { from, to } of stays) if (from === null) this.begin(to, 0)
  }

  begin(step: number, minute: number): void {
    this.house.begin(minute)
    this.roomOf[step]?.begin(minute)
  }
  end(step: number, minute: number): void {
    this.house.end(minute)
    this.roomOf[step]?.end(minute)
  }
  takeBegin(step: number, minute: number): void {
    this.house.takeBegin(minute)
    this.roomOf[step]?.takeBegin(minute)
  }
  takeEnd(step: number, minute: number): void {
    this.house.takeEnd(minute)
    this.roomOf[step]?.takeEnd(minute)
  }
  /** Whether so many more that a step leaves drying may be kept to no end yet. */
  mayKeep(step: number, more: number): boolean {
    return this.house.mayKeep(more) && (this.roomOf[step]?.mayKeep(more) ?? true)
  }
  /** For how many minutes things dry that have no place, each by itself. */
  get overfull(): number {
    let sum = this.house.overfull
    for (const room of this.rooms) sum += room.overfull
    return sum
  }
  /** How long it is from a minute until so many more of a step have a place at any time before another; {@link open} where that never is. */
  waitFrom(step: number, minute: number, until: number, more: number): number {
    const inHouse = this.house.waitFrom(minute, until, more)
    const room = this.roomOf[step]
    return room ? Math.max(inHouse, room.waitFrom(minute, until, more)) : inHouse
  }
}
