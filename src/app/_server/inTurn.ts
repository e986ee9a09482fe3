/**
 * Who is told something and asks for a page upon it is told in turn, the first at once: a workshop's devices hear of a change together, and
 * a server that is asked by all of them at once answers none of them soon.
 */
import 'server-only'

/** A page takes a fraction of this to make. */
const turnMs = 200
interface Turns {
  waiting: Set<() => void>
  /** until the next may be told */
  timer: ReturnType<typeof setTimeout> | null
}
const holder = globalThis as { itinerumTurns?: Turns }
const turns = (holder.itinerumTurns ??= { waiting: new Set(), timer: null })

/** Tells once, when its turn has come; what is waiting already is not told twice. */
export function tellInTurn(tell: () => void): void {
  turns.waiting.add(tell)
  if (turns.timer === null) next()
}
/** Who has gone is not told. */
export const leaveTurn = (tell: () => void): boolean => turns.waiting.delete(tell)

function next(): void {
  turns.timer = null
  for (const tell of turns.waiting) {
    turns.waiting.delete(tell)
    turns.timer = setTimeout(next, turnMs)
    turns.timer.unref()
    tell()
    return
  }
}
