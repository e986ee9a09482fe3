'use client'
/** The work around the paint while it is being planned: counts, the steps that follow them, the painter's own. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { CountCode, Counted, Side } from '@/core/craft/job'
import type { OperationCode } from '@/core/craft/operations'
import type { PieceId } from '@/core/measure/named'
import {
  beginJob,
  type DraftStep,
  type JobAround,
  jobMinutes,
  type JobStep,
  minutesFit,
  recount,
  takeOutStep,
} from '@/core/plan/job'
import { useActions } from '@/ui/form/actions'
import { useMoment } from '@/ui/form/useMoment'
import { useWrite } from '@/ui/form/useWrite'

export interface JobStart {
  pieceId: PieceId
  /** somebody waits for it */
  commission: boolean
  counted: Counted
  /** the steps of the plan in force that nobody has begun; null where there is none */
  ahead: readonly JobStep[] | null
  /** what is behind it, by operation and side */
  done: readonly string[]
}

export function useJob({ pieceId, commission, counted, ahead, done }: JobStart) {
  const { planJob } = useActions()
  const router = useRouter()
  const write = useWrite(planJob)
  const [ids] = useState(() => ({ planId: uuidv7(), wholeId: uuidv7() }))
  const moment = useMoment(ids.planId)
  const around: JobAround = { commission, done }
  const [draft, setDraft] = useState(() => beginJob(counted, ahead, around, uuidv7))
  const { steps } = draft
  const change = (next: DraftStep[]) => setDraft((before) => ({ ...before, steps: next }))
  return {
    ...draft,
    behind: done,
    minutes: steps.reduce((sum, step) => sum + step.minutes, 0),
    count: (code: CountCode, times: number) => setDraft((before) => recount(before, code, times, around, uuidv7)),
    setMinutes: (id: string, minutes: number) =>
      change(steps.map((step) => (step.id === id ? { ...step, minutes, own: true } : step))),
    takeOut: (id: string) => setDraft((before) => takeOutStep(before, id)),
    /** a place up or down among the steps of its side */
    move: (id: string, by: -1 | 1) => {
      const at = steps.findIndex((step) => step.id === id)
      const [step, other] = [steps[at], steps[at + by]]
      if (step && other && other.side === step.side) change(steps.with(at, other).with(at + by, step))
    },
    add: (operation: OperationCode, side: Side, words: string | null) => {
      const step: DraftStep = { id: uuidv7(), operation, side, words, minutes: jobMinutes(operation), own: true }
      const last = steps.findLastIndex((other) => other.side === side)
      change(steps.toSpliced(last >= 0 ? last + 1 : side === 'before' ? 0 : steps.length, 0, step))
    },
    pending: write.pending,
    issue: write.issue,
    fields: write.fields,
    take: async () => {
      // what can't be read is marked in its place
      if (steps.some(({ minutes }) => !minutesFit(minutes))) return
      const sent = { ...ids, pieceId, at: moment(), counted: draft.counted, steps: steps.map(({ own: _, ...step }) => step) }
      if (await write.send(sent)) router.push(`/pieces/${pieceId}`)
    },
  }
}
export type Job = ReturnType<typeof useJob>
