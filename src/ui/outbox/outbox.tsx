'use client'
/** The outbox as the interface sees it: one engine a page, its state, its verbs. */
import { createContext, type ReactNode, useContext, useEffect, useMemo, useState, useSyncExternalStore } from 'react'
import type { AwayAction, AwayText } from '@/core/input/away'
import type { BenchAction, BenchText } from '@/core/input/bench'
import type { Answer } from '@/core/input/issues'
import { type Around, OutboxEngine, type OutboxState } from '@/outbox/engine'
import { belongsTo, type Kept, type PhotoTyped } from '@/outbox/store'
import { useHouse } from '@/ui/form/house'
import { useRefresh } from '@/ui/time/useRefresh'
import { issueWords } from '@/words/issues'
import { useHands } from './hands'
import { onReader, readDraft } from './reader'

export type PhotoSent = 'stored' | 'kept' | { words: string }
export interface Outbox extends OutboxState {
  /** resolves once it is stored, or safely on the device; an issue where the server would not have it */
  send: <A extends BenchAction>(action: A, typed: BenchText<A>, about: string) => Promise<Answer>
  /** likewise, of what is no entry of a log */
  sendAway: <A extends AwayAction>(action: A, typed: AwayText<A>, about: string) => Promise<Answer>
  sendPhoto: (typed: PhotoTyped, file: Blob, about: string) => Promise<PhotoSent>
  sendAgain: (kept: Kept) => Promise<void>
  letGo: (kept: Kept) => Promise<void>
}
const OutboxContext = createContext<Outbox | null>(null)

/** What waits, and the verbs; whoever writes takes it by `useOutbox`. */
export function useOutboxState(): Outbox {
  const outbox = useContext(OutboxContext)
  if (!outbox) throw new Error('the outbox outside of OutboxProvider')
  return outbox
}

const nothing: OutboxState = { kept: [], entries: [], reachable: true }
const before = () => nothing

/** `of`: whose it is, by membership: what others wrote on this device waits for them. */
export function OutboxProvider({ of, children }: { of: string; children: ReactNode }) {
  const refresh = useRefresh()
  const { personId } = useHands()
  const house = useHouse()
  const around = useMemo<Around>(
    () => ({
      entryOf: (draft) => readDraft(draft, house),
      stored: () => void refresh(),
    }),
    [house, refresh],
  )
  const [engine] = useState(() => {
    belongsTo(of)
    return new OutboxEngine(around)
  })
  useEffect(() => engine.stand(around), [engine, around])
  useEffect(() => onReader(() => engine.stand(around)), [engine, around])
  useEffect(() => engine.start(), [engine])
  const state = useSyncExternalStore(engine.subscribe, engine.snapshot, before)
  const outbox = useMemo<Outbox>(
    () => ({
      ...state,
      send: (action, typed, about) => engine.send(action, typed, about, personId),
      sendAway: async (action, typed, about) => (await engine.sendAway(action, typed, about)) ?? { ok: true },
      sendPhoto: async (typed, file, about) => {
        const answer = await engine.sendPhoto(typed, file, about)
        if (!answer) return 'kept'
        return 'ok' in answer ? 'stored' : { words: answer.fields?.photo ?? issueWords[answer.issue] }
      },
      sendAgain: (kept) => engine.sendAgain(kept),
      letGo: (kept) => engine.letGo(kept),
    }),
    [engine, state, personId],
  )
  return <OutboxContext value={outbox}>{children}</OutboxContext>
}
