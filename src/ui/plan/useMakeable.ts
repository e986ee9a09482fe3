/** What can be made with what is here, reckoned by a worker from the moment it is asked. */
import type { Makeable, MakeAsk } from '@/core/plan/fromShelf'
import { type FromWorker, useFromWorker } from '@/ui/time/useFromWorker'

const begin = () => new Worker(new URL('./makeable.worker.ts', import.meta.url), { type: 'module' })

export const useMakeable = (ask: MakeAsk, asks: boolean): FromWorker<Makeable[]> => useFromWorker(begin, asks ? ask : null)
