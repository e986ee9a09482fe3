'use client'
/** What others change shows here within moments: the server tells that something changed, and the page asks anew. */
import { useEffect, useState } from 'react'
import { useRefresh } from './useRefresh'

/** several changes at once are one */
const settleMs = 250
/** who was refused asks again after this, or up to twice as long: a crowd comes apart */
const againMs = 3_000

/** `sinceMs`: when the server read the page; what changed between that and the first listening is asked for too. */
export function Live({ sinceMs }: { sinceMs: number }) {
  const refresh = useRefresh()
  // the page's first reading: later ones come by this very way
  const [since] = useState(sinceMs)
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined
    let source: EventSource | undefined
    let again: ReturnType<typeof setTimeout> | undefined
    let opened = false
    // what comes while one waits is read by it; a studio that never rests would else be put off for ever
    const ask = () => {
      timer ??= setTimeout(() => {
        timer = undefined
        void refresh()
      }, settleMs)
    }
    // a browser has few connections to one server: a tab that nobody looks at gives its own back
    const listen = () => {
      if (document.visibilityState === 'hidden') {
        source?.close()
        source = undefined
      } else if (!source) {
        // it comes back by itself when broken; what was missed meanwhile is asked for then
        source = new EventSource(`/api/live?since=${since}`)
        source.addEventListener('changed', ask)
        // refused, not broken: nobody is in here any more, and the page asked anew leads to the door; or a crowd was asked to
        // come again, and then the browser by itself would not
        source.onerror = () => {
          if (source?.readyState !== EventSource.CLOSED) return
          source = undefined
          opened = true
          ask()
          clearTimeout(again)
          again = setTimeout(listen, againMs + Math.random() * againMs)
        }
        source.onopen = () => {
          if (opened) ask()
          opened = true
        }
      }
    }
    listen()
    document.addEventListener('visibilitychange', listen)
    return () => {
      clearTimeout(timer)
      clearTimeout(again)
      source?.close()
      document.removeEventListener('visibilitychange', listen)
    }
  }, [refresh, since])
  return null
}
