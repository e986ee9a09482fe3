'use client'
/**
 * The way every bench entry takes: first onto the device, then to the server, in order; shown at once, called stored only
 * when it is. Survives a closed browser and a lost connection.
 */
import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react'
import { entryFromText, type BenchAction, type BenchText } from '../../core/input/bench'
import type { Entry } from '../../core/log/entry'
import type { Answer } from '../form/actions'
import { useRefresh } from '../time/useRefresh'
import { useHands } from './hands'
import { post, sendKept } from './send'
import { forget, keep, listKept, mark, type Kept } from './store'

export interface Outbox {
  /** not stored on the server, oldest first */
  kept: readonly Kept[]
  /** entries of this device that a page may not know yet: kept ones, and those just stored */
  entries: readonly Entry[]
  reachable: boolean
  /** resolves once it is stored, or safely on the device; an issue where the server would not have it */
  send: <A extends BenchAction>(action: A, typed: BenchText<A>, about: string) => Promise<Answer>
  sendAgain: (kept: Kept) => Promise<void>
  letGo: (kept: Kept) => Promise<void>
}
const OutboxContext = createContext<Outbox | null>(null)

export function useOutbox(): Outbox {
  const outbox = useContext(OutboxContext)
  if (!outbox) throw new Error('useOutbox outside of OutboxProvider')
  return outbox
}

const retryMs = 4_000
/** safely on the device, nobody waits longer for the server than this */
const onTheDeviceMs = 1_500
const channelName = 'itinerum-outbox'

export function OutboxProvider({ children }: { children: ReactNode }) {
  const refresh = useRefresh()
  const [kept, setKept] = useState<readonly Kept[]>([])
  // tapped, and on their way onto the device
  const [tapped, setTapped] = useState<readonly Entry[]>([])
  const [stored, setStored] = useState<readonly Entry[]>([])
  const [reachable, setReachable] = useState(true)
  const { personId } = useHands()
  const channel = useRef<BroadcastChannel | null>(null)

  const reload = useCallback(async () => setKept(await listKept().catch(() => [])), [])
  const flush = useCallback(async () => {
    const { answered, reachable: there } = await sendKept()
    setReachable(there)
    const done = answered.flatMap(({ kept: each, answer }) => ('ok' in answer ? (entryOf(each) ?? []) : []))
    if (done.length > 0) setStored((before) => [...before, ...done])
    await reload()
    if (answered.length > 0) {
      channel.current?.postMessage('changed')
      void refresh()
    }
    return answered
  }, [reload, refresh])

  useEffect(() => {
    const own = new BroadcastChannel(channelName)
    channel.current = own
    own.onmessage = () => void reload()
    const begin = () => void reload().then(flush)
    begin()
    window.addEventListener('online', begin)
    const lost = () => setReachable(false)
    window.addEventListener('offline', lost)
    return () => {
      own.close()
      window.removeEventListener('online', begin)
      window.removeEventListener('offline', lost)
    }
  }, [flush, reload])

  const waits = kept.some(({ issue }) => issue === null)
  useEffect(() => {
    if (!waits) return
    const timer = setInterval(() => void flush(), retryMs)
    return () => clearInterval(timer)
  }, [waits, flush])

  const send = useCallback<Outbox['send']>(
    async (action, typed, about) => {
      const draft = { action, typed: { ...(personId && { personId }), ...typed } as Kept['typed'], about }
      const shown = entryOf(draft)
      if (!shown) return { issue: 'not-readable' }
      setTapped((before) => [...before, shown])
      const own = await keep(draft).catch(() => null)
      setTapped((before) => before.filter(({ id }) => id !== shown.id))
      // a device that can keep nothing sends at once, or says that it could not
      if (!own) {
        const answer = await post(draft)
        if ('ok' in answer) {
          setStored((before) => [...before, shown])
          void refresh()
        }
        return answer
      }
      setKept((before) => [...before, own])
      const sent = flush().then((answered) => answered.find(({ kept: { seq } }) => seq === own.seq)?.answer)
      const answer = await Promise.race([sent, new Promise<undefined>((resolve) => setTimeout(resolve, onTheDeviceMs))])
      if (!answer || 'ok' in answer) return { ok: true }
      // whoever typed it is still here to put it right: it is theirs again
      await forget(own.seq)
      await reload()
      return answer
    },
    [flush, personId, reload, refresh],
  )
  const outbox = useMemo<Outbox>(
    () => ({
      kept,
      entries: [...stored, ...kept.filter(({ issue }) => issue === null).flatMap((each) => entryOf(each) ?? []), ...tapped],
      reachable,
      send,
      sendAgain: async (each) => {
        await mark({ ...each, issue: null })
        await flush()
      },
      letGo: async (each) => {
        await forget(each.seq)
        await reload()
      },
    }),
    [kept, stored, tapped, reachable, send, flush, reload],
  )
  return <OutboxContext value={outbox}>{children}</OutboxContext>
}

const entryOf = ({ action, typed }: Pick<Kept, 'action' | 'typed'>): Entry | null => entryFromText(action, typed)
