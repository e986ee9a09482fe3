/**
 * A layout that keeps a drying place for what was begun: chains may be laid in any row, and what finds no place free waits in it. Pure.
 */
import { Layout, mostWaits } from './lay'

export class ReservedLayout extends Layout {
  /** drying places held for what is not laid yet */
  private kept = 0

  /**
   * The next chain of a unit, a drying place kept for it from its first coat until what follows is laid too, so that nothing that was
   * begun is ever without one; false where it has no place, null where none to dry in is free until something else is done.
   */
  layReserved(at: number): boolean | null {
    const unit = this.units[at]
    const chain = unit?.chains[this.chainsLaid[at] ?? 0]
    if (!unit || !chain) return false
    if (this.chainsLaid[at] === 0 && !this.mayBegin(at)) return null
    const first = chain.steps[0] ?? 0
    const wasOpen = this.heldOn(at)
    let ready = this.board.readyAt(first)
    const mayOpen = wasOpen || chain.opens === null
    const places = this.problem.pools.rack - this.kept
    if (!mayOpen && places <= 0) return null
    const free = mayOpen ? 0 : this.board.takenBelow(places)
    for (let tries = 0; ; tries += 1) {
      if (tries > mostWaits || !this.board.layChain(chain, 0, ready)) return false
      const opened = chain.opens === null ? free : this.endOf(chain.opens)
      if (opened >= free) break
      ready = Math.max(ready, this.board.start[first] ?? 0) + free - opened
      this.board.takeFrom(chain, 0)
    }
    for (const lag of chain.racks) this.board.holdPlace(lag, 1)
    if (wasOpen) this.kept -= 1
    const laid = this.chainsLaid[at] ?? 0
    this.count(at, laid, laid + 1, 1)
    if (chain.holdsOn !== null) this.kept += 1
    return true
  }
  takeReserved(at: number): void {
    if (this.heldOn(at)) this.kept -= 1
    this.takeChainOf(at)
    if (this.heldOn(at)) this.kept += 1
  }
  /** Whether the last of its chains that lies holds a place on. */
  private heldOn(at: number): boolean {
    const laid = this.chainsLaid[at] ?? 0
    return laid > 0 && this.units[at]?.chains[laid - 1]?.holdsOn !== null
  }
}
