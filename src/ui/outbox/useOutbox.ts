'use client'
/** The outbox for whoever writes: with it comes the reading of drafts, so that what is tapped shows at once. */
import { useEffect } from 'react'
import { insist } from '@/ui/frame/later'
import { type Outbox, useOutboxState } from './outbox'
import { setReader } from './reader'

let coming: Promise<void> | undefined
const comes = () => (coming ??= insist(() => import('./readDrafts')).then(({ readDrafts }) => setReader(readDrafts)))

export function useOutbox(): Outbox {
  useEffect(() => void comes(), [])
  return useOutboxState()
}
