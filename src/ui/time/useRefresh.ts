'use client'
/**
 * Asks the page anew where nobody has pressed anything: only while the server and its records answer. A page that is read
 * would else give way to one that says it can't be shown, with whatever was being typed on it.
 */
import { useRouter } from 'next/navigation'
import { useCallback } from 'react'
import { recordsAnswer } from './recordsAnswer'
import { isWriting, whenWritten } from './writing'

export function useRefresh(): () => Promise<void> {
  const router = useRouter()
  return useCallback(async () => {
    for (;;) {
      await whenWritten()
      // a page that is not there has nothing to ask anew
      if (!(await recordsAnswer()) || document.querySelector('[data-nowhere]')) return
      // one that was begun meanwhile may not be answered
      if (!isWriting()) return router.refresh()
    }
  }, [router])
}
