'use client'
/** One tap starts, one ends. What was forgotten is typed: "it took 35 min". */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { parseMinutes } from '../../core/input/fields'
import { useActions } from '../form/actions'
import { TextField, Trouble } from '../form/Field'
import { useWrite } from '../form/useWrite'
import { useCoatSheet } from './CoatSheet'
import type { StepCard } from './stepCard'

export function StepActions({ card, large = false }: { card: StepCard; large?: boolean }) {
  const { startStep, endStep, leaveOutStep } = useActions()
  const start = useWrite(startStep)
  const end = useWrite(endStep)
  const leave = useWrite(leaveOutStep)
  const router = useRouter()
  const showCoat = useCoatSheet()
  const [startedHere, setStartedHere] = useState(false)
  const [typed, setTyped] = useState('')
  const [asking, setAsking] = useState(false)
  const [trouble, setTrouble] = useState<string | undefined>()
  // one id for each thing that can be said of this step, so that a second tap says the same thing
  const [ids] = useState(() => ({ start: uuidv7(), end: uuidv7(), leave: uuidv7() }))
  const on = { pieceId: card.pieceId, partId: card.partId, stepId: card.stepId }
  const running = card.startedAt !== null || startedHere
  const size = large ? 'min-h-16 px-8 text-2xl' : ''

  const begin = async () => {
    setStartedHere(true)
    if (await start.send({ entryId: ids.start, ...on, at: new Date().toISOString() })) router.refresh()
    else setStartedHere(false)
  }
  const finish = async (minutes: string) => {
    const at = new Date().toISOString()
    if (!(await end.send({ entryId: ids.end, ...on, at, minutes }))) return
    showCoat(card, at)
    router.refresh()
  }
  const finishTyped = () => {
    if (parseMinutes(typed) === null) return setTrouble('Write minutes like 35, 35 min or 1 h 20.')
    setTrouble(undefined)
    void finish(typed)
  }
  const leaveOut = async () => {
    if (await leave.send({ entryId: ids.leave, ...on, at: new Date().toISOString(), note: '' })) router.refresh()
  }
  const name = `${card.title}, ${card.pieceName}, ${card.partName}`
  return (
    <div>
      <div className="flex flex-wrap items-center gap-3">
        {running ? (
          <button
            type="button"
            disabled={end.pending || start.pending}
            onClick={() => void finish('')}
            className={`press press-now ${size}`}
            aria-label={`Done: ${name}`}
          >
            Done
          </button>
        ) : (
          <button
            type="button"
            disabled={start.pending}
            onClick={() => void begin()}
            className={`press press-now ${size}`}
            aria-label={`Start: ${name}`}
          >
            Start
          </button>
        )}
        <button type="button" className="press" aria-expanded={asking} onClick={() => setAsking(!asking)}>
          {running ? 'It took…' : 'Done already…'}
        </button>
      </div>
      {asking && (
        <div className="mt-3 flex max-w-xl flex-wrap items-end gap-3">
          <TextField
            label="How long it took"
            placeholder="35 min"
            value={typed}
            trouble={trouble}
            onChange={(event) => setTyped(event.target.value)}
            className="w-40"
          />
          <button type="button" disabled={end.pending} onClick={finishTyped} className="press press-now">
            Write it down
          </button>
          {!running && (
            <button type="button" disabled={leave.pending} onClick={() => void leaveOut()} className="press">
              Leave this step out
            </button>
          )}
        </div>
      )}
      <div className="mt-3 empty:hidden">
        <Trouble>{start.issue ?? end.issue ?? leave.issue}</Trouble>
      </div>
    </div>
  )
}
