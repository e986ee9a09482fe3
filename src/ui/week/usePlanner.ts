'use client'
/** Asks the worker for weeks: one question at a time, the newest of each kind; the page never waits for it. */
import { useCallback, useEffect, useRef, useState } from 'react'
import type { WeekAnswer, WeekAsk } from '@/core/week/ask'
import type { Step, WayToKeep } from '@/core/week/keep'
import type { Asked, Told } from './planner.worker'

export interface Planner {
  ask: (ask: WeekAsk) => Promise<WeekAnswer>
  /** what would keep the window of a step; null where nothing small does */
  keep: (ask: WeekAsk, step: Step) => Promise<{ way: WayToKeep; answer: WeekAnswer } | null>
  /** what the week in work costs so far; null where none is in work */
  falling: number | null
}

export function usePlanner(): Planner {
  const worker = useRef<Worker | null>(null)
  const waiting = useRef(new Map<number, { done: (told: never) => void; failed: (trouble: Error) => void }>())
  const count = useRef(0)
  const [falling, setFalling] = useState<number | null>(null)

  useEffect(() => {
    const open = waiting.current
    return () => {
      worker.current?.terminate()
      worker.current = null
      open.clear()
    }
  }, [])

  const send = useCallback(<T>(wanted: Omit<Asked, 'number'>): Promise<T> => {
    if (!worker.current) {
      worker.current = new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' })
      worker.current.onmessage = ({ data: told }: MessageEvent<Told>) => {
        if ('cost' in told) return setFalling(told.cost)
        const asked = waiting.current.get(told.number)
        waiting.current.delete(told.number)
        if (waiting.current.size === 0) setFalling(null)
        if ('answer' in told) asked?.done(told.answer as never)
        else if ('found' in told) asked?.done(told.found as never)
        else asked?.failed(new Error(told.trouble))
      }
      worker.current.onerror = () => {
        for (const { failed } of waiting.current.values()) failed(new Error('the planner stopped'))
        waiting.current.clear()
        setFalling(null)
      }
    }
    count.current += 1
    const number = count.current
    return new Promise((done, failed) => {
      waiting.current.set(number, { done, failed })
      worker.current?.postMessage({ number, ...wanted } satisfies Asked)
    })
  }, [])
  const ask = useCallback((wanted: WeekAsk) => send<WeekAnswer>({ ask: wanted }), [send])
  const keep = useCallback<Planner['keep']>((wanted, step) => send({ ask: wanted, keep: step }), [send])
  return { ask, keep, falling }
}
