/**
 * What was read of a studio, kept for as long as nothing is written there: while this server hears of its changes, and
 * somebody has it open. Only of tables that tell of every change (their trigger `tell_change`).
 */
import 'server-only'
import { makeKept } from '@/core/measure/kept'
import type { StudioId } from '@/core/measure/named'
import { changedSince } from './live'

interface Unchanged<V> {
  /**
   * What stands yet under a key, which names whose eyes it was read by; else what is read now. `beganMs`: before the moment as which it is
   * read, or a change that fell between would be missed.
   */
  or: (studioId: StudioId, key: string, beganMs: number, read: () => Promise<V>) => Promise<V>
}
/** `most`: how many things are kept. `tables`: from which they are read, where no other changes them. */
export function makeUnchanged<V>(most: number, tables?: readonly string[]): Unchanged<V> {
  const kept = makeKept<string, { value: V; beganMs: number }>(most)
  return {
    or: async (studioId, key, beganMs, read) => {
      const own = `${studioId} ${key}`
      const known = kept.get(own)
      if (known && !changedSince(studioId, known.beganMs, tables)) return known.value
      const value = await read()
      kept.set(own, { value, beganMs })
      return value
    },
  }
}
