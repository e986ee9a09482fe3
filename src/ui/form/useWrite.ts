'use client'
/** Sends one write and keeps its answer: pending while it is on its way, an issue in words where it failed. */
import { useCallback, useEffect, useRef, useState, useTransition } from 'react'
import type { Answer } from '@/core/input/issues'
import { issueWords } from '@/words/issues'
import { useNotices } from './notices'

export interface Write<T> {
  /** resolves to whether it is stored; a second call while one is under way is ignored */
  send: (typed: T) => Promise<boolean>
  pending: boolean
  issue: string | null
  fields: Record<string, string>
  /** takes back what the last answer said */
  forget: () => void
}

export function useWrite<T>(action: (typed: T) => Promise<Answer>): Write<T> {
  const [pending, begin] = useTransition()
  const [answer, setAnswer] = useState<Answer | null>(null)
  const busy = useRef(false)
  const tellIn = useTellWhenGone(answer)
  const send = useCallback(
    (typed: T) =>
      new Promise<boolean>((resolve) => {
        if (busy.current) return resolve(false)
        busy.current = true
        begin(async () => {
          const got = await action(unshared(typed)).catch((): Answer => ({ issue: 'unreachable' }))
          busy.current = false
          setAnswer(got)
          tellIn(got)
          resolve('ok' in got)
        })
      }),
    [action, tellIn],
  )
  const failed = answer && 'issue' in answer ? answer : null
  const forget = useCallback(() => setAnswer(null), [])
  return { send, pending, issue: failed ? issueWords[failed.issue] : null, fields: failed?.fields ?? {}, forget }
}

/** What is named in two places is sent twice: the framework would send a sign for the second, which the door takes for none of ours. */
const unshared = <T>(typed: T): T => JSON.parse(JSON.stringify(typed)) as T

/** what stood there for so long was read */
const readMs = 2_000

/** A refusal outlives the form it was said in: where the page changed under it before it was read, the page itself tells it. */
function useTellWhenGone(answer: Answer | null): (answer: Answer) => void {
  const tell = useNotices()
  const there = useRef(true)
  const path = useRef('')
  const last = useRef({ answer, atMs: 0 })
  const tellNow = useCallback(
    (said: Answer | null) => {
      if (said && 'issue' in said) tell({ words: issueWords[said.issue], path: path.current })
    },
    [tell],
  )
  useEffect(() => {
    last.current = { answer, atMs: performance.now() }
  }, [answer])
  useEffect(() => {
    there.current = true
    path.current = location.pathname
    return () => {
      there.current = false
      if (performance.now() - last.current.atMs < readMs) tellNow(last.current.answer)
    }
  }, [tellNow])
  return useCallback(
    (said: Answer) => {
      // kept at once: the page may change in the very commit that would have shown the answer
      last.current = { answer: said, atMs: performance.now() }
      if (!there.current) tellNow(said)
    },
    [tellNow],
  )
}
