'use client'
/** A tap that comes before the page's scripts have run is kept, and happens as soon as they have: it was meant. */
import { useLayoutEffect } from 'react'

interface Early {
  keep: (event: Event) => void
  tap?: { event: Event; on: HTMLButtonElement }
}
declare global {
  interface Window {
    itinerumEarly?: Early
  }
}
/** Runs where the page is read, before anything of it is shown. What sends a form goes its own way without scripts. */
const keeper = `(() => {
  const early = (window.itinerumEarly = {
    keep: (event) => {
      const on = event.target instanceof Element ? event.target.closest('button') : null
      if (on && on.type === 'button') early.tap = { event, on }
    },
  })
  document.addEventListener('click', early.keep, true)
})()`

export function EarlyTaps({ nonce }: { nonce: string | null }) {
  useLayoutEffect(() => {
    const early = window.itinerumEarly
    if (!early) return
    delete window.itinerumEarly
    document.removeEventListener('click', early.keep, true)
    // one that is on its way still is on its way to what has just come
    if (early.tap?.event.eventPhase === Event.NONE && early.tap.on.isConnected) early.tap.on.click()
  }, [])
  return <script nonce={nonce ?? undefined} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: keeper }} />
}
