'use client'
/**
 * The way every bench entry takes: first onto the device, then to the server, in order; shown at once, called stored only
 * when it is. Survives a closed browser and a lost connection.
 */
import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react'
import { entryFromText, type BenchAction, type BenchText } from '@/core/input/bench'
import type { Entry } from '@/core/log/entry'
import type { Answer } from '@/core/input/issues'
import { useHouse } from '@/ui/form/house'
import { useRefresh } from '@/ui/time/useRefresh'
import { issueWords } from '@/words/issues'
import { useHands } from './hands'
import { answerOf, post, sendKept, type Mail } from './send'
import { forget, keep, listKept, mark, type Draft, type Kept, type PhotoTyped } from './store'

export type PhotoSent = 'stored' | 'kept' | { words: string }
export interface Outbox {
  /** not stored on the server, oldest first */
  kept: readonly Kept[]
  /** entries of this device that a page may not know yet: kept ones, and those just stored */
  entries: readonly Entry[]
  reachable: boolean
  /** resolves once it is stored, or safely on the device; an issue where the server would not have it */
  send: <A extends BenchAction>(action: A, typed: BenchText<A>, about: string) => Promise<Answer>
  /** resolves once it is stored, or safely on the device, or with why the server would not have it */
  sendPhoto: (typed: PhotoTyped, file: Blob, about: string) => Promise<PhotoSent>
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
  const house = useHouse()
  const channel = useRef<BroadcastChannel | null>(null)

  const entryOf = useCallback(
    ({ action, typed }: Pick<Kept, 'action' | 'typed'>): Entry | null =>
      action === 'addPhoto' ? null : entryFromText(action, typed, house),
    [house],
  )
  const reload = useCallback(async () => setKept(await listKept().catch(() => [])), [])
  const flush = useCallback(
    async (mail: Mail) => {
      const { answered, reachable: there } = await sendKept(mail)
      setReachable(there)
      const done = answered.flatMap(({ kept: each, answer }) => ('ok' in answer ? (entryOf(each) ?? []) : []))
      if (done.length > 0) setStored((before) => [...before, ...done])
      await reload()
      if (answered.length > 0) {
        channel.current?.postMessage('changed')
        void refresh()
      }
      return { answered, reachable: there }
    },
    [reload, refresh, entryOf],
  )
  const flushAll = useCallback(async () => {
    if ((await flush('entries')).reachable) await flush('photos')
  }, [flush])

  useEffect(() => {
    const own = new BroadcastChannel(channelName)
    channel.current = own
    own.onmessage = () => void reload()
    const begin = () => void reload().then(flushAll)
    begin()
    window.addEventListener('online', begin)
    const lost = () => setReachable(false)
    window.addEventListener('offline', lost)
    return () => {
      own.close()
      window.removeEventListener('online', begin)
      window.removeEventListener('offline', lost)
    }
  }, [flushAll, reload])

  const waits = kept.some(({ issue }) => issue === null)
  useEffect(() => {
    if (!waits) return
    const timer = setInterval(() => void flushAll(), retryMs)
    return () => clearInterval(timer)
  }, [waits, flushAll])

  /** Onto the device, and on to the server; null where it is safe here and there is no answer yet. */
  const deliver = useCallback(
    async (draft: Draft, mail: Mail): Promise<Answer | null> => {
      const own = await keep(draft).catch(() => null)
      // a device that can keep nothing sends at once, or says that it could not
      if (!own) {
        const answer = await post(draft)
        const done = 'ok' in answer ? entryOf(draft) : null
        if (done) setStored((before) => [...before, done])
        if ('ok' in answer) void refresh()
        return answer
      }
      setKept((before) => [...before, own])
      const late = new Promise<null>((resolve) => mail === 'entries' && setTimeout(resolve, onTheDeviceMs, null))
      const answer = await Promise.race([flush(mail).then((sent) => answerOf(own, sent)), late])
      if (answer && 'issue' in answer) {
        // whoever typed it is still here to put it right: it is theirs again
        await forget(own.seq)
        await reload()
      }
      return answer
    },
    [flush, reload, refresh, entryOf],
  )
  const send = useCallback<Outbox['send']>(
    async (action, typed, about) => {
      const draft = { action, typed: { ...(personId && { personId }), ...(typed as Kept['typed']) }, about }
      const shown = entryOf(draft)
      if (!shown) return { issue: 'not-readable' }
      setTapped((before) => [...before, shown])
      const answer = await deliver(draft, 'entries')
      setTapped((before) => before.filter(({ id }) => id !== shown.id))
      return answer ?? { ok: true }
    },
    [deliver, personId, entryOf],
  )
  const sendPhoto = useCallback<Outbox['sendPhoto']>(
    async (typed, file, about) => {
      const answer = await deliver({ action: 'addPhoto', typed: { ...typed }, about, file }, 'photos')
      if (!answer) return 'kept'
      return 'ok' in answer ? 'stored' : { words: answer.fields?.photo ?? issueWords[answer.issue] }
    },
    [deliver],
  )
  const outbox = useMemo<Outbox>(
    () => ({
      kept,
      entries: once([...stored, ...kept.filter(({ issue }) => issue === null).flatMap((each) => entryOf(each) ?? []), ...tapped]),
      reachable,
      send,
      sendPhoto,
      sendAgain: async (each) => {
        await mark({ ...each, issue: null })
        await flushAll()
      },
      letGo: async (each) => {
        await forget(each.seq)
        await reload()
      },
    }),
    [kept, stored, tapped, reachable, send, sendPhoto, flushAll, reload, entryOf],
  )
  return <OutboxContext value={outbox}>{children}</OutboxContext>
}

/** Tapped, kept and stored in turn, one entry is known by its id. */
const once = (entries: readonly Entry[]): Entry[] => [...new Map(entries.map((entry) => [entry.id, entry])).values()]
