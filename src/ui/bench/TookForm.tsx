'use client'
/** What the clock was not there for. */
import { useState } from 'react'
import { parseMinutes } from '@/core/measure/minutes'
import type { Instant } from '@/core/measure/named'
import { TextField } from '@/ui/form/Field'
import { ClockEnds } from './ClockEnds'
import type { useStep } from './useStep'

interface Props {
  step: ReturnType<typeof useStep>
  running: boolean
  nowMs: number
  finish: (at: Instant, minutes: string) => void
}

/** How long it took, typed or dragged; a helper's time; a step that is left out. */
export function TookForm({ step, running, nowMs, finish }: Props) {
  const [typed, setTyped] = useState('')
  const [trouble, setTrouble] = useState<string | undefined>()
  const { startedAt } = step.clock
  const finishTyped = () => {
    if (parseMinutes(typed) === null) return setTrouble('Write minutes like 35, 35 min or 1 h 20.')
    setTrouble(undefined)
    finish(new Date().toISOString(), typed)
  }
  return (
    <div className="mt-3 max-w-xl">
      {running && startedAt && (
        <ClockEnds startedAt={startedAt} nowMs={nowMs} finish={(at, minutes) => finish(at, String(minutes))} />
      )}
      <div className="mt-3 flex flex-wrap items-end gap-3">
        <TextField
          label="How long it took"
          placeholder="35 min"
          value={typed}
          trouble={trouble}
          onChange={(event) => setTyped(event.target.value)}
          className="w-40"
        />
        <button type="button" onClick={finishTyped} className="press press-now">
          Write it down
        </button>
        {running && (
          <button
            type="button"
            className="press"
            onClick={() => {
              if (parseMinutes(typed) === null) return setTrouble('Write the helper’s minutes, like 25.')
              setTrouble(undefined)
              setTyped('')
              void step.help(typed)
            }}
          >
            A helper’s time
          </button>
        )}
        {!running && (
          <button type="button" onClick={() => void step.leaveOut()} className="press">
            Leave this step out
          </button>
        )}
      </div>
    </div>
  )
}
