'use client'
/** Installs the service worker, and asks it to keep the pages of what is in the workshop now. */
import { useEffect } from 'react'

const keptKey = 'itinerum.kept'
/** every page that is looked at is kept anyway */
const againMs = 10 * 60_000

export function Offline({ pages }: { pages: readonly string[] }) {
  const wanted = pages.join(' ')
  useEffect(() => {
    if (!('serviceWorker' in navigator)) return
    const keep = async () => {
      await navigator.serviceWorker.register('/sw.js')
      const { active } = await navigator.serviceWorker.ready
      const last = Number(localStorage.getItem(keptKey) ?? 0)
      if (!navigator.onLine || !active || Date.now() - last < againMs) return
      localStorage.setItem(keptKey, String(Date.now()))
      active.postMessage({ keep: wanted.split(' ') })
    }
    // after the page itself is at rest
    const timer = setTimeout(() => void keep().catch(() => undefined), 1_500)
    return () => clearTimeout(timer)
  }, [wanted])
  return null
}
