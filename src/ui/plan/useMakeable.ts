/** What can be made with what is here, reckoned by a worker from the moment it is asked; null until it is there. */
import { useDeferredValue, useEffect, useState } from 'react'
import type { Makeable, MakeAsk } from '@/core/plan/fromShelf'

export function useMakeable(ask: MakeAsk, asks: boolean): Makeable[] | null {
  const [answer, setAnswer] = useState<{ to: string; found: Makeable[] } | null>(null)
  // a colour that is being pulled is not reckoned at every step
  const asked = useDeferredValue(JSON.stringify(ask))
  useEffect(() => {
    if (!asks) return
    const worker = new Worker(new URL('./makeable.worker.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<Makeable[]>) => setAnswer({ to: asked, found: data })
    worker.postMessage(JSON.parse(asked))
    return () => worker.terminate()
  }, [asked, asks])
  return asks && answer?.to === asked ? answer.found : null
}
