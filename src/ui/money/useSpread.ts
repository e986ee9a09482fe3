/** The spread of what a piece may cost, reckoned by a worker. */
import type { Spread, SpreadAsk } from '@/core/price/spread'
import { type FromWorker, useFromWorker } from '@/ui/time/useFromWorker'

const begin = () => new Worker(new URL('./spread.worker.ts', import.meta.url), { type: 'module' })

export const useSpread = (ask: SpreadAsk): FromWorker<Spread> => useFromWorker(begin, ask)
