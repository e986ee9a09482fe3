'use client'
/** The outbox for whoever writes: with it comes the reading of drafts, so that what is tapped shows at once. */
import { type BenchAction, benchWrites, entryFromText } from '@/core/input/bench'
import { type Outbox, useOutboxState } from './outbox'
import { setReader } from './reader'

setReader(({ action, typed }, house) => (action in benchWrites ? entryFromText(action as BenchAction, typed, house) : null))

export const useOutbox = (): Outbox => useOutboxState()
