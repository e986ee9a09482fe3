'use client'
/** When a piece could be ready, asked now and then: the week is fetched and reckoned on the device. */
import { useEffect, useState } from 'react'
import type { PieceId } from '@/core/measure/named'
import type { PieceOutlook, WeekOutlook } from '@/core/week/ask'
import type { Supposed, WeekData } from '@/core/week/weekData'
import { useOutbox } from '@/ui/outbox/useOutbox'
import { Planner } from './planner'

/** Milliseconds: the week as it is, and as it would be; weeks worked by chance. */
const [first, better, weeks, seed] = [200, 700, 100, 20]

export interface Ready {
  piece: PieceOutlook
  before: WeekOutlook
  after: WeekOutlook
  nowMs: number
}
export type Asking = { state: 'not-asked' | 'asking' | 'unreachable' | 'nothing' } | { state: 'found'; ready: Ready }

/** `ask` answers for a piece, with what is supposed of it. */
export function useReady(pieceId: PieceId): { asking: Asking; ask: (supposed: Supposed) => Promise<void> } {
  const { entries } = useOutbox()
  const [planner] = useState(() => new Planner(() => undefined))
  const [asking, setAsking] = useState<Asking>({ state: 'not-asked' })
  useEffect(() => () => planner.end(), [planner])

  const ask = async (supposed: Supposed) => {
    setAsking({ state: 'asking' })
    try {
      const response = await fetch('/api/week')
      if (!response.ok) return setAsking({ state: 'unreachable' })
      const data = (await response.json()) as WeekData
      const nowMs = Date.now()
      const base = { data, written: entries, nowMs, seed }
      const now = await planner.ask('week', { ...base, supposed: {}, from: data.week?.lines ?? [], budgetMs: first, weeks: 0 })
      const from = 'outlook' in now ? now.outlook.kept : []
      const then = await planner.ask('thought', { ...base, supposed, from, budgetMs: better, weeks })
      const piece = 'outlook' in then ? then.outlook.pieces.find((each) => each.pieceId === pieceId) : undefined
      if (!('outlook' in now) || !('outlook' in then) || !piece) return setAsking({ state: 'nothing' })
      setAsking({ state: 'found', ready: { piece, before: now.outlook, after: then.outlook, nowMs } })
    } catch {
      setAsking({ state: 'unreachable' })
    }
  }
  return { asking, ask }
}
