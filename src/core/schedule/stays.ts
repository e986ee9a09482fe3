/** Stays at drying places, as they are laid: when each begins, and when those end whose end is laid; a place is kept for all others. Minutes; pure. */
import { InOrder } from './inOrder'
import { open } from './waitTable'

export class Stays {
  private readonly begins: InOrder
  private readonly ends: InOrder

  constructor(
    most: number,
    private readonly places: number,
  ) {
    this.begins = new InOrder(most)
    this.ends = new InOrder(most)
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
  /** How many have no end yet. */
  get kept(): number {
    return this.begins.count - this.ends.count
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
  /** How long it is from a minute until no more than `most` are held at any time before another; {@link open} where that never is. */
  waitFrom(minute: number, until: number, most: number): number {
    const { at: begins, count: stays } = this.begins
    const { at: ends, count: over } = this.ends
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
