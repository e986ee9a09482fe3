'use client'
/** The week under the hand: the plan as it stands now, a change that is thought of, and what it would cost. */
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { WeekAnswer, WeekOutlook } from '@/core/week/ask'
import type { Pin } from '@/core/week/place'
import type { KeptLine } from '@/core/week/planWeek'
import type { Supposed, WeekData } from '@/core/week/weekData'
import { useActions } from '@/ui/form/actions'
import { useWrite } from '@/ui/form/useWrite'
import { useOutbox } from '@/ui/outbox/useOutbox'
import { useRefresh } from '@/ui/time/useRefresh'
import { usePlanner } from './usePlanner'

/** A first answer, a better one, and what is thought of. Milliseconds. */
const budgets = { first: 150, better: 1500, thought: 700 }
/** how many weeks are worked by chance */
const weeks = 100
const seed = 20

/** A change that is thought of: what is supposed, in words, and what taking it means. */
export interface Thought {
  key: string
  words: string
  supposed: Supposed
  /** pins of the plan that is kept with it; null where it can't be taken */
  pins: Pin[] | null
  /** days that are said with it */
  days?: { day: string; personId: string | null; from: string; to: string; kind: 'away' | 'hours' }[]
}

export function useWeek(data: WeekData, nowMs: number) {
  const { ask, falling } = usePlanner()
  const { entries } = useOutbox()
  const { keepWeek, keepOtherDay } = useActions()
  const refresh = useRefresh()
  const write = useWrite(keepWeek)
  const dayWrite = useWrite(keepOtherDay)
  const [answer, setAnswer] = useState<WeekAnswer | null>(null)
  const [thought, setThought] = useState<Thought | null>(null)
  const [thoughtAnswer, setThoughtAnswer] = useState<WeekAnswer | null>(null)
  const [before, setBefore] = useState<{ lines: KeptLine[]; pins: Pin[] } | null>(null)
  const pins = useMemo(() => data.week?.pins ?? [], [data.week])
  const asked = useRef(0)

  useEffect(() => {
    asked.current += 1
    const number = asked.current
    const base = { data, written: entries, nowMs, supposed: {}, seed }
    const isNewest = () => asked.current === number
    const kept = data.week?.lines ?? []
    void (async () => {
      const first = await ask({ ...base, from: kept, budgetMs: budgets.first, weeks: 0 })
      if (!isNewest()) return
      setAnswer(first)
      const from = 'outlook' in first ? first.outlook.kept : kept
      const better = await ask({ ...base, from: kept.length > 0 ? from : [], budgetMs: budgets.better, weeks })
      if (isNewest()) setAnswer(better)
    })().catch(() => undefined)
    // anew where something was written, the plan in force is another, or the time has gone on
  }, [data, entries, nowMs, ask])

  const outlook: WeekOutlook | null = answer && 'outlook' in answer ? answer.outlook : null
  const think = useCallback(
    (wanted: Thought | null) => {
      setThought(wanted)
      setThoughtAnswer(null)
      if (!wanted || !outlook) return
      const base = { data, written: entries, nowMs, seed, from: outlook.kept }
      void ask({ ...base, supposed: wanted.supposed, budgetMs: budgets.thought, weeks })
        .then((found) => setThought((now) => (now?.key === wanted.key ? (setThoughtAnswer(found), now) : now)))
        .catch(() => undefined)
    },
    [ask, data, entries, nowMs, outlook],
  )

  const keep = async (lines: KeptLine[], held: Pin[]) => {
    setBefore(data.week && { lines: data.week.lines, pins: data.week.pins })
    const stored = lines.filter(({ stepId }) => !stepId.endsWith('+'))
    if (await write.send({ id: uuidv7(), lines: stored, pins: held })) {
      setThought(null)
      await refresh()
    }
  }
  return {
    answer,
    outlook,
    falling,
    pins,
    thought,
    thoughtAnswer,
    think,
    issue: write.issue ?? dayWrite.issue,
    pending: write.pending || dayWrite.pending,
    isKept: outlook !== null && data.week !== null && sameLines(outlook.kept, data.week.lines),
    keepNow: () => outlook && keep(outlook.kept, pins),
    take: async () => {
      if (!thought || !thoughtAnswer || !('outlook' in thoughtAnswer)) return
      for (const day of thought.days ?? []) if (!(await dayWrite.send({ id: uuidv7(), ...day }))) return
      await keep(thoughtAnswer.outlook.kept, thought.pins ?? pins)
    },
    /** back to the plan that was in force before */
    undo: before && (() => keep(before.lines, before.pins)),
  }
}
export type Week = ReturnType<typeof useWeek>

const keyOf = ({ stepId, side, at, personId }: KeptLine) => `${stepId} ${side} ${at} ${personId}`
/** Whether what is ahead stands where the plan in force has it. */
function sameLines(now: readonly KeptLine[], kept: readonly KeptLine[]): boolean {
  const known = new Set(kept.map(keyOf))
  return now.every((line) => known.has(keyOf(line)))
}
