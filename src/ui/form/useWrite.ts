'use client'
/** Sends one write and keeps its answer: pending while it is on its way, an issue in words where it failed. */
import { useCallback, useRef, useState, useTransition } from 'react'
import { issueWords } from '@/words/issues'
import type { Answer } from '@/core/input/issues'

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
  const send = useCallback(
    (typed: T) =>
      new Promise<boolean>((resolve) => {
        if (busy.current) return resolve(false)
        busy.current = true
        begin(async () => {
          const got = await action(typed).catch((): Answer => ({ issue: 'unreachable' }))
          busy.current = false
          setAnswer(got)
          resolve('ok' in got)
        })
      }),
    [action],
  )
  const failed = answer && 'issue' in answer ? answer : null
  const forget = useCallback(() => setAnswer(null), [])
  return { send, pending, issue: failed ? issueWords[failed.issue] : null, fields: failed?.fields ?? {}, forget }
}
