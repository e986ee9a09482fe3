'use client'
/** A word this device remembers; every part of the page and every tab of it sees the same. Null where there is none. */
import { useCallback, useSyncExternalStore } from 'react'

const changed = 'itinerum-stored'
const subscribe = (tell: () => void) => {
  window.addEventListener('storage', tell)
  window.addEventListener(changed, tell)
  return () => {
    window.removeEventListener('storage', tell)
    window.removeEventListener(changed, tell)
  }
}

export function useStored(key: string): [string | null, (value: string | null) => void] {
  const value = useSyncExternalStore(
    subscribe,
    () => localStorage.getItem(key),
    () => null,
  )
  const store = useCallback(
    (next: string | null) => {
      if (next === null) localStorage.removeItem(key)
      else localStorage.setItem(key, next)
      window.dispatchEvent(new Event(changed))
    },
    [key],
  )
  return [value, store]
}
