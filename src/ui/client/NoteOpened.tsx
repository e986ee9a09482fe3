'use client'
/** Tells that the page was opened, by whoever sees it: a program that only looks what is behind a link tells nothing. */
import { useEffect } from 'react'

export function NoteOpened({ token }: { token: string }) {
  useEffect(() => {
    const tell = () => {
      if (document.visibilityState !== 'visible') return
      document.removeEventListener('visibilitychange', tell)
      // counted or not, the client sees the page
      void fetch(`/for/${token}/opened`, { method: 'POST', keepalive: true }).catch(() => null)
    }
    document.addEventListener('visibilitychange', tell)
    tell()
    return () => document.removeEventListener('visibilitychange', tell)
  }, [token])
  return null
}
