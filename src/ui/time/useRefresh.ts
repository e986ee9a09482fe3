'use client'
/**
 * Asks the page anew where nobody has pressed anything: only while the server and its records answer. A page that is read
 * would else give way to one that says it can't be shown, with whatever was being typed on it.
 */
import { useRouter } from 'next/navigation'
import { useCallback } from 'react'
import { recordsAnswer } from './recordsAnswer'

export function useRefresh(): () => Promise<void> {
  const router = useRouter()
  return useCallback(async () => {
    // a page that is not there has nothing to ask anew
    if ((await recordsAnswer()) && !document.querySelector('[data-nowhere]')) router.refresh()
  }, [router])
}
