/** What is kept in mind, so many things at most: what was not asked for longest goes first. */
export interface Kept<K, V> {
  get: (key: K) => V | undefined
  set: (key: K, value: V) => void
}
/** `most`: how many things are kept, at least one. */
export function makeKept<K, V>(most: number): Kept<K, V> {
  const values = new Map<K, V>()
  const touch = (key: K, value: V) => {
    values.delete(key)
    values.set(key, value)
  }
  return {
    get: (key) => {
      const value = values.get(key)
      if (value !== undefined) touch(key, value)
      return value
    },
    set: (key, value) => {
      touch(key, value)
      for (const eldest of values.keys()) {
        if (values.size <= most) break
        values.delete(eldest)
      }
    },
  }
}
/** What is kept, else what is made now, which is kept from now on. */
export function keptOr<K, V>(kept: Kept<K, V>, key: K, make: (key: K) => V): V {
  const known = kept.get(key)
  if (known !== undefined) return known
  const value = make(key)
  kept.set(key, value)
  return value
}

/** The same of what stands for a while only. */
export interface Lately<K, V> {
  get: (key: K, nowMs: number) => V | undefined
  set: (key: K, value: V, nowMs: number) => void
}
/** `standsMs`: for how long a thing stands. */
export function makeLately<K, V>(most: number, standsMs: number): Lately<K, V> {
  const kept = makeKept<K, { value: V; untilMs: number }>(most)
  return {
    get: (key, nowMs) => {
      const found = kept.get(key)
      return found && found.untilMs > nowMs ? found.value : undefined
    },
    set: (key, value, nowMs) => kept.set(key, { value, untilMs: nowMs + standsMs }),
  }
}
/** What stands yet, else what is read now, which stands from now on. */
export async function latelyOr<K, V>(lately: Lately<K, V>, key: K, nowMs: number, read: () => Promise<V>): Promise<V> {
  const known = lately.get(key, nowMs)
  if (known !== undefined) return known
  const value = await read()
  lately.set(key, value, nowMs)
  return value
}
