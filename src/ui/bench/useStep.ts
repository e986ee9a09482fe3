'use client'
/** A step's clock as this device knows it: what the page was told, and what was tapped here since. */
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { StepCard } from '@/core/bench/stepCard'
import { outsideOf } from '@/core/drying/phase'
import type { IssueCode } from '@/core/input/issues'
import type { Entry } from '@/core/log/entry'
import { advance, type StepClock, untouchedClock, workIn } from '@/core/log/labour'
import type { Instant } from '@/core/measure/named'
import { useOutbox } from '@/ui/outbox/useOutbox'
import { cardName } from '@/words/craft'

/** The card's clock with what was written on this device since, read by the core. */
function clockOf(card: StepCard, entries: readonly Entry[]): StepClock {
  const { stepId, startedAt, paused, laidAt, since, ranMs } = card
  const status = startedAt === null ? 'waiting' : paused ? 'paused' : 'running'
  const spells = since ? [{ stepId, personId: null, fromMs: Date.parse(since), toMs: Infinity }] : []
  return workIn(entries.filter((entry) => entry.stepId === stepId && !card.heard.includes(entry.id))).reduce<StepClock>(
    (clock, entry) => advance(clock, entry, stepId),
    {
      ...untouchedClock,
      status,
      startedAt,
      laidAt,
      since,
      ranMs,
      spells,
    },
  )
}

export function useStep(card: StepCard) {
  const { entries, send } = useOutbox()
  const [issue, setIssue] = useState<IssueCode | null>(null)
  // one id for each thing that can be said once, so that a second tap says the same thing
  const [ids] = useState(() => ({ start: uuidv7(), end: uuidv7(), leave: uuidv7() }))
  const on = { pieceId: card.pieceId, partId: card.partId, stepId: card.stepId }
  const name = cardName(card)

  const clock = clockOf(card, entries)
  const said = async (answer: ReturnType<typeof send>) => {
    const got = await answer
    setIssue('issue' in got ? got.issue : null)
    return 'ok' in got
  }
  const now = () => new Date()
  return {
    clock,
    issue,
    name,
    start: () => {
      const at = now()
      const outside = outsideOf(card.window?.segments ?? [], at.getTime())
      const typed = { entryId: ids.start, ...on, at: at.toISOString(), ...(outside && { outside }) }
      return said(send('startStep', typed, `Started: ${name}`))
    },
    pause: () => said(send('pauseStep', { entryId: uuidv7(), ...on, at: now().toISOString() }, `Paused: ${name}`)),
    laySide: () => said(send('laySide', { entryId: uuidv7(), ...on, at: now().toISOString() }, `First side: ${name}`)),
    resume: () => said(send('resumeStep', { entryId: uuidv7(), ...on, at: now().toISOString() }, `Taken up again: ${name}`)),
    end: (at: Instant, minutes: string) => said(send('endStep', { entryId: ids.end, ...on, at, minutes }, `Ended: ${name}`)),
    leaveOut: () =>
      said(send('leaveOutStep', { entryId: ids.leave, ...on, at: now().toISOString(), note: '' }, `Left out: ${name}`)),
    // whoever helped, it was not the hands at this device
    help: (minutes: string) =>
      said(send('helpStep', { entryId: uuidv7(), ...on, at: now().toISOString(), minutes, personId: '' }, `Helped: ${name}`)),
  }
}
