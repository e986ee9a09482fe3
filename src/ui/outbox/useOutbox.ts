'use client'
/** The outbox for whoever writes: with it comes the reading of drafts, so that what is tapped shows at once. */
import { entryFromText } from '@/core/input/bench'
import { type Outbox, useOutboxState } from './outbox'
import { setReader } from './reader'

setReader(({ action, typed }, house) => (action === 'addPhoto' ? null : entryFromText(action, typed, house)))

export const useOutbox = (): Outbox => useOutboxState()
