/** Lists that lie in one piece, so that all of them are kept, and brought back, at once. Pure. */

/** what every list begins at a multiple of, in bytes */
const wide = Float64Array.BYTES_PER_ELEMENT

export class Memory {
  private readonly whole: Float64Array
  private used = 0

  /** Throws a `RangeError` where more is asked for than there is room, in bytes. */
  constructor(room: number) {
    this.whole = new Float64Array(Math.ceil(room / wide))
  }

  /** A list of whole numbers, all 0. */
  list(many: number): Int32Array {
    return new Int32Array(this.whole.buffer, this.taken(many * Int32Array.BYTES_PER_ELEMENT), many)
  }
  /** A list of any numbers, all 0. */
  sums(many: number): Float64Array {
    return new Float64Array(this.whole.buffer, this.taken(many * wide), many)
  }
  private taken(bytes: number): number {
    const at = this.used * wide
    this.used += Math.ceil(bytes / wide)
    return at
  }

  /** All that stands in the lists now, in what was kept before if that is given. */
  kept(into: Float64Array = new Float64Array(this.used)): Float64Array {
    into.set(this.whole.subarray(0, this.used))
    return into
  }
  bringBack(kept: Float64Array): void {
    this.whole.set(kept)
  }
}
