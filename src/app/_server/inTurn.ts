/**
 * Who is told something and asks for a page upon it is told in turn: a workshop's devices hear of a change together, and a server that is
 * asked by all of them at once answers none of them soon. Servers that share a machine hear of it together too: each tells at a moment of
 * its own in every turn.
 */
import 'server-only'

/** A page takes a fraction of this to make. */
const [turnMs, soonMs] = [200, 20]
/** 0 to below 1, which `servers.mjs` gives out */
const momentMs = Number(process.env.ITINERUM_MOMENT ?? 0) * turnMs
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
  if (turns.timer === null) wait()
}
/** Who has gone is not told. */
export const leaveTurn = (tell: () => void): boolean => turns.waiting.delete(tell)

/** Until this server's next moment, or the one after that where it is as good as now: timers come somewhat before or after their time. */
function wait(): void {
  const ms = turnMs - ((Date.now() - momentMs) % turnMs)
  turns.timer = setTimeout(next, ms < soonMs ? ms + turnMs : ms)
  turns.timer.unref()
}
function next(): void {
  turns.timer = null
  const [tell] = turns.waiting
  if (!tell) return
  turns.waiting.delete(tell)
  // who comes meanwhile waits for the next
  wait()
  tell()
}
