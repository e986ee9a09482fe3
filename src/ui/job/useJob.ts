'use client'
/** The work around the paint while it is being planned: counts, the steps that follow them, the painter's own. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { CountCode, Counted, Side } from '@/core/craft/job'
import type { OperationCode } from '@/core/craft/operations'
import type { PieceId } from '@/core/measure/named'
import { type DraftStep, followCounts, jobMinutes, type JobStep, keyOf, proposeJob } from '@/core/plan/job'
import { useActions } from '@/ui/form/actions'
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
  const [draft, setDraft] = useState(() => {
    const asked = proposeJob(counted, commission)
    // what the plan in force does without was taken out by hand
    const out = ahead ? asked.map(keyOf).filter((key) => !ahead.some((step) => keyOf(step) === key)) : []
    const settled = new Set([...done, ...out])
    const byCount = (step: JobStep) =>
      step.words === null && asked.some((each) => keyOf(each) === keyOf(step) && each.minutes === step.minutes)
    // a plan's steps are its own: the next has others
    const steps = (ahead ?? []).map((step): DraftStep => ({ ...step, id: uuidv7(), own: !byCount(step) }))
    return { counted, settled, steps: followCounts(steps, asked, settled, uuidv7) }
  })
  const { steps } = draft
  const change = (next: DraftStep[]) => setDraft((before) => ({ ...before, steps: next }))
  return {
    ...draft,
    behind: done,
    minutes: steps.reduce((sum, step) => sum + step.minutes, 0),
    count: (code: CountCode, times: number) =>
      setDraft((before) => {
        const now = { ...before.counted, [code]: Math.max(0, times) }
        // what is counted anew is asked for anew
        const settled = new Set(times > (before.counted[code] ?? 0) ? done : before.settled)
        return { counted: now, settled, steps: followCounts(before.steps, proposeJob(now, commission), settled, uuidv7) }
      }),
    setMinutes: (id: string, minutes: number) =>
      change(steps.map((step) => (step.id === id ? { ...step, minutes, own: true } : step))),
    takeOut: (id: string) =>
      setDraft((before) => {
        const gone = before.steps.find((step) => step.id === id)
        return {
          ...before,
          settled: new Set([...before.settled, ...(gone ? [keyOf(gone)] : [])]),
          steps: before.steps.filter((step) => step.id !== id),
        }
      }),
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
      const at = new Date().toISOString()
      const sent = { ...ids, pieceId, at, counted: draft.counted, steps: steps.map(({ own: _, ...step }) => step) }
      if (await write.send(sent)) router.push(`/pieces/${pieceId}`)
    },
  }
}
export type Job = ReturnType<typeof useJob>
