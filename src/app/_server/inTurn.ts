/**
 * Who is told something and asks for a page upon it is told in turn: a workshop's devices hear of a change together, and a server that is
 * asked by all of them at once answers none of them soon. Servers that share a machine hear of it together too: each tells at a moment of
 * its own in every turn. While the machine is full they let moments pass, for a page that waits for others comes no sooner than one that is
 * asked for later; but nobody is kept for long by that.
 */
import 'server-only'
import { freeShare } from './machine'

/** A page takes a fraction of this to make. */
const [turnMs, soonMs] = [200, 20]
/** where less of the machine is free, a moment passes, unless whoever is next has waited so long */
const [leastFree, longMs] = [0.4, 1_500]
/** 0 to below 1, which `servers.mjs` gives out */
const momentMs = Number(process.env.ITINERUM_MOMENT ?? 0) * turnMs
type Tell = () => void
interface Turns {
  /** since when */
  waiting: Map<Tell, number>
  /** until the next may be told */
  timer: ReturnType<typeof setTimeout> | null
}
const holder = globalThis as { itinerumTurns?: Turns }
const turns = (holder.itinerumTurns ??= { waiting: new Map(), timer: null })

/** Tells once, when its turn has come; what is waiting already is not told twice. */
export function tellInTurn(tell: Tell): void {
  if (!turns.waiting.has(tell)) turns.waiting.set(tell, Date.now())
  if (turns.timer === null) wait()
}
/** Who has gone is not told. */
export const leaveTurn = (tell: Tell): boolean => turns.waiting.delete(tell)

/** Until this server's next moment, or the one after that where it is as good as now: timers come somewhat before or after their time. */
function wait(): void {
  const ms = turnMs - ((Date.now() - momentMs) % turnMs)
  turns.timer = setTimeout(next, ms < soonMs ? ms + turnMs : ms)
  turns.timer.unref()
}
function next(): void {
  turns.timer = null
  const [first] = turns.waiting
  if (!first) return
  // who comes meanwhile waits for the next
  wait()
  const [tell, sinceMs] = first
  const nowMs = Date.now()
  const free = freeShare(nowMs)
  if (free !== null && free < leastFree && nowMs - sinceMs < longMs) return
  turns.waiting.delete(tell)
  tell()
}
