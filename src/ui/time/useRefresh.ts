'use client'
/**
 * Asks the page anew where nobody has pressed anything: only while the server and its records answer. A page that is read
 * would else give way to one that says it can't be shown, with whatever was being typed on it.
 */
import { useRouter } from 'next/navigation'
import { useCallback } from 'react'

const patienceMs = 4_000

export function useRefresh(): () => Promise<void> {
  const router = useRouter()
  return useCallback(async () => {
    const answers = await fetch('/api/health', { cache: 'no-store', signal: AbortSignal.timeout(patienceMs) }).then(
      ({ ok }) => ok,
      () => false,
    )
    // a page that is not there has nothing to ask anew
    if (answers && !document.querySelector('[data-nowhere]')) router.refresh()
  }, [router])
}
