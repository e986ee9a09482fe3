'use client'
/** When a piece could be ready, asked now and then: the week is fetched and reckoned on the device. */
import { useEffect, useState } from 'react'
import type { PieceId } from '@/core/measure/named'
import type { PieceOutlook, WeekOutlook } from '@/core/week/ask'
import { readWeekBack, type Supposed, type WrittenWeek } from '@/core/week/weekData'
import { useOutbox } from '@/ui/outbox/useOutbox'
import { Planner } from './planner'

/** Weeks worked by chance; milliseconds for a first answer, and for each of the two that are compared. */
const [weeks, seed] = [100, 20]
const budgets = { first: 150, each: 500 }

export interface Ready {
  piece: PieceOutlook
  before: WeekOutlook
  after: WeekOutlook
  nowMs: number
}
export type Asking = { state: 'not-asked' | 'asking' | 'unreachable' | 'nothing' } | { state: 'found'; ready: Ready }

/** What is supposed, or how it is found out; null where that can't be said yet. */
export type ToSuppose = Supposed | (() => Promise<Supposed | null>)

/** `ask` answers for a piece, with what is supposed of it. */
export function useReady(pieceId: PieceId): { asking: Asking; ask: (toSuppose: ToSuppose) => Promise<void> } {
  const { entries } = useOutbox()
  const [planner] = useState(() => new Planner(() => undefined))
  const [asking, setAsking] = useState<Asking>({ state: 'not-asked' })
  useEffect(() => () => planner.end(), [planner])

  const ask = async (toSuppose: ToSuppose) => {
    setAsking({ state: 'asking' })
    try {
      const supposed = typeof toSuppose === 'function' ? await toSuppose() : toSuppose
      // what is missing is said where it is typed
      if (!supposed) return setAsking({ state: 'not-asked' })
      const response = await fetch('/api/week')
      if (!response.ok) return setAsking({ state: 'unreachable' })
      const data = readWeekBack((await response.json()) as WrittenWeek)
      const nowMs = Date.now()
      const base = { data, written: entries, nowMs, seed, budgetMs: budgets.each, from: data.week?.lines ?? [] }
      const first = await planner.ask('first', { ...base, supposed: {}, budgetMs: budgets.first, weeks: 0 })
      // where none is in force, both go on from the first that was found
      const from = 'outlook' in first ? first.outlook.kept : base.from
      const { now, then } = await planner.compare({ ...base, from, supposed, weeks })
      const piece = 'outlook' in then ? then.outlook.pieces.find((each) => each.pieceId === pieceId) : undefined
      if (!('outlook' in now) || !('outlook' in then) || !piece) return setAsking({ state: 'nothing' })
      setAsking({ state: 'found', ready: { piece, before: now.outlook, after: then.outlook, nowMs } })
    } catch {
      setAsking({ state: 'unreachable' })
    }
  }
  return { asking, ask }
}
