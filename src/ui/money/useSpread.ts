/** The spread of what a piece may cost, reckoned by a worker; null until it is there, and where no worker can be had. */
import { useEffect, useState } from 'react'
import type { Spread, SpreadAsk } from '@/core/price/spread'

export function useSpread(ask: SpreadAsk): Spread | null {
  const [spread, setSpread] = useState<Spread | null>(null)
  // a page read anew brings the same question as another object
  const asked = JSON.stringify(ask)
  useEffect(() => {
    const worker = new Worker(new URL('./spread.worker.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<Spread>) => setSpread(data)
    worker.postMessage(JSON.parse(asked))
    return () => worker.terminate()
  }, [asked])
  return spread
}
