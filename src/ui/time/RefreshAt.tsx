'use client'
/** Asks the server anew when the next window changes, so that the order of the bench follows the clock. */
import { useRouter } from 'next/navigation'
import { useEffect } from 'react'

const longestMs = 10 * 60_000

export function RefreshAt({ atMs }: { atMs: number | null }) {
  const router = useRouter()
  useEffect(() => {
    const wait = Math.min(longestMs, Math.max(1_000, (atMs ?? Infinity) - Date.now()))
    const timer = setTimeout(() => router.refresh(), wait)
    return () => clearTimeout(timer)
  }, [atMs, router])
  return null
}
