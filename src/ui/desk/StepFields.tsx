'use client'
/** What may be set otherwise on one step: its minutes, the wait after it, what it takes, grit and tool. Empty is as it was planned. */
import { useId, useState } from 'react'
import { unitOf } from '@/core/craft/families'
import type { PlannedStep } from '@/core/finish/step'
import { parseMinutes } from '@/core/measure/minutes'
import type { StepChange } from '@/core/plan/stepEdits'
import { CommittedField } from '@/ui/form/CommittedField'
import { spanWords } from '@/words/time'

/** What can't be read: refused where the plan is read, and said in its field. */
const unreadable = -1

interface Props {
  step: PlannedStep
  change: StepChange | undefined
  /** as it was planned */
  planned: PlannedStep
  set: (over: StepChange) => void
}

export function StepFields({ step, change, planned, set }: Props) {
  const unit = step.family ? unitOf(step.family) : 'ml'
  const wait = planned.window?.opens[1] ?? 0
  const tooLong = change?.wait !== undefined && step.window?.closes && change.wait > step.window.closes[0]
  const tooSoon = change?.wait !== undefined && change.wait >= 0 && change.wait < (planned.window?.opens[0] ?? 0)
  return (
    <div className="grid grid-cols-2 gap-x-4 gap-y-2 pb-3 pl-10">
      <Figure
        label="Minutes"
        hint={`planned: ${planned.minutes}`}
        value={change?.minutes}
        read={parseMinutes}
        wrong="Minutes like 35 or 1 h 20."
        set={(minutes) => set({ minutes })}
      />
      <Figure
        label="Then wait, minutes"
        hint={wait > 0 ? `planned: ${spanWords(wait)}` : 'planned: none'}
        value={change?.wait}
        read={readWait}
        wrong="Minutes like 45, 2 h or 3 d."
        set={(minutes) => set({ wait: minutes })}
      />
      {planned.amount !== null && (
        <Figure
          label={`Takes, ${unit}`}
          hint={`planned: ${planned.amount}`}
          value={change?.amount}
          read={readWhole}
          wrong={`A figure in ${unit}, like 120.`}
          set={(amount) => set({ amount })}
        />
      )}
      {planned.grit !== null && (
        <CommittedField
          label="Grit"
          hint={`planned: ${planned.grit}`}
          trouble={undefined}
          value={change?.grit ?? ''}
          keep={(grit) => set({ grit: grit || undefined })}
        />
      )}
      {planned.touch === undefined && planned.applicator !== null && (
        <CommittedField
          label="Done with"
          hint={`planned: ${planned.applicator}`}
          trouble={undefined}
          value={change?.applicator ?? ''}
          keep={(applicator) => set({ applicator: applicator || undefined })}
        />
      )}
      {tooLong && (
        <p className="col-span-2 border-l-4 border-late pl-3 font-semibold text-late">
          It closes before that: {spanWords(step.window?.closes?.[0] ?? 0)}.
        </p>
      )}
      {tooSoon && (
        <p className="col-span-2 border-l-4 border-late pl-3 font-semibold text-late">
          Sooner than it is ready: {spanWords(planned.window?.opens[0] ?? 0)} at least.
        </p>
      )}
    </div>
  )
}

const readWhole = (text: string): number | null => (/^\d{1,5}$/.test(text.trim()) && Number(text) > 0 ? Number(text) : null)
/** Minutes as they are typed elsewhere, or days. */
const readWait = (text: string): number | null => {
  const days = /^(\d{1,2})\s*d(?:ays?)?$/i.exec(text.trim())
  return days ? Number(days[1]) * 1440 : parseMinutes(text)
}

interface FigureProps {
  label: string
  hint: string
  value: number | undefined
  read: (text: string) => number | null
  wrong: string
  set: (value: number | undefined) => void
}
function Figure({ label, hint, value, read, wrong, set }: FigureProps) {
  const [typed, setTyped] = useState(value === undefined ? '' : String(value))
  const bad = value === unreadable
  // undone, or done again
  const known = typed.trim() === '' ? undefined : (read(typed) ?? unreadable)
  const shown = known === value ? typed : value === undefined || value === unreadable ? '' : String(value)
  const id = useId()
  return (
    <label className="block">
      <span className="block text-sm font-semibold">{label}</span>
      <input
        inputMode="text"
        className="field w-full"
        value={shown}
        placeholder={hint}
        aria-invalid={bad}
        aria-describedby={bad ? id : undefined}
        onChange={(event) => {
          const text = event.target.value
          setTyped(text)
          set(text.trim() === '' ? undefined : (read(text) ?? unreadable))
        }}
      />
      {bad && (
        <span id={id} role="alert" className="block text-sm font-semibold text-late">
          {wrong}
        </span>
      )}
    </label>
  )
}
