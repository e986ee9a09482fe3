'use client'
/** The steps on one side of the paint: each with its minutes, moved or taken out in its place; a step put in at the end. */
import { ArrowDown, ArrowUp, X } from 'lucide-react'
import { type ReactNode, useId, useState } from 'react'
import { jobOperations, type Side, usualSide } from '@/core/craft/job'
import { getOperation, type OperationCode } from '@/core/craft/operations'
import { type DraftStep, minutesFit } from '@/core/plan/job'
import { ChoiceField, TextField } from '@/ui/form/Field'
import { type Calm, useTapGuard } from '@/ui/form/useTapGuard'
import { sideWords } from '@/words/job'
import type { Job } from './useJob'

const titleOf = ({ words, operation }: Pick<DraftStep, 'words' | 'operation'>) => words ?? getOperation(operation).words

export function JobSide({ side, job }: { side: Side; job: Job }) {
  const steps = job.steps.filter((step) => step.side === side)
  const { guard, stir } = useTapGuard()
  // the row under the finger is another one then: the second half of a double tap was not meant for it
  const press = (act: () => void) =>
    guard(() => {
      stir()
      act()
    })
  const takeOut = (id: string) =>
    press(() => {
      job.takeOut(id)
      // the keys go on from where it was
      document.getElementById(`side-${side}`)?.focus()
    })
  return (
    <section aria-labelledby={`side-${side}`} className="mt-6">
      <h3 id={`side-${side}`} tabIndex={-1} className="title text-2xl">
        {sideWords[side]}
      </h3>
      <ol className="mt-1 border-t border-line">
        {steps.map((step, k) => (
          <li
            key={step.id}
            className="grid min-h-14 grid-cols-[1fr_auto] items-center gap-x-3 border-b border-line py-1 sm:grid-cols-[1fr_auto_auto]"
          >
            <span className="text-lg font-semibold leading-tight">{titleOf(step)}</span>
            <Minutes of={titleOf(step)} minutes={step.minutes} set={(minutes) => job.setMinutes(step.id, minutes)} />
            <span className="col-span-2 flex gap-1 sm:col-span-1">
              <Quiet label={`Up: ${titleOf(step)}`} off={k === 0} {...press(() => job.move(step.id, -1))}>
                <ArrowUp aria-hidden size={20} />
              </Quiet>
              <Quiet label={`Down: ${titleOf(step)}`} off={k === steps.length - 1} {...press(() => job.move(step.id, 1))}>
                <ArrowDown aria-hidden size={20} />
              </Quiet>
              <Quiet label={`Take out: ${titleOf(step)}`} {...takeOut(step.id)}>
                <X aria-hidden size={20} />
              </Quiet>
            </span>
          </li>
        ))}
        {steps.length === 0 && (
          <li className="py-3 text-soft">{job.behind.some((key) => key.endsWith(side)) ? 'All of it is done.' : 'Nothing.'}</li>
        )}
      </ol>
      <AddStep side={side} press={press} add={(operation, words) => job.add(operation, side, words)} />
    </section>
  )
}

/** Minutes as they are typed; what can't be read stays, and is said. */
function Minutes({ of, minutes, set }: { of: string; minutes: number; set: (minutes: number) => void }) {
  const [typed, setTyped] = useState(String(minutes))
  // a count changed them
  const shown = minutesFit(minutes) && Number(typed) !== minutes ? String(minutes) : typed
  const wrong = !minutesFit(minutes)
  const id = useId()
  return (
    <span>
      <label className="flex items-center justify-end gap-1.5 text-soft">
        <span className="sr-only">Minutes of: {of}</span>
        <input
          inputMode="numeric"
          className="field w-20 text-right"
          value={shown}
          aria-invalid={wrong}
          aria-describedby={wrong ? id : undefined}
          onChange={(event) => {
            const text = event.target.value
            setTyped(text)
            set(/^\d{1,5}$/.test(text.trim()) ? Number(text) : 0)
          }}
        />
        min
      </label>
      {wrong && (
        <span id={id} role="alert" className="block text-right text-sm font-semibold text-late">
          Whole minutes, 1 to 2,400.
        </span>
      )}
    </span>
  )
}

function Quiet({
  label,
  off = false,
  children,
  ...guarded
}: { label: string; off?: boolean; children: ReactNode } & ReturnType<Calm['guard']>) {
  return (
    <button type="button" aria-label={label} disabled={off} {...guarded} className="press grid size-12 place-items-center p-0">
      {children}
    </button>
  )
}

interface AddStepProps {
  side: Side
  press: Calm['guard']
  add: (operation: OperationCode, words: string | null) => void
}
function AddStep({ side, press, add }: AddStepProps) {
  const [operation, setOperation] = useState<OperationCode>('own')
  const [words, setWords] = useState('')
  const [trouble, setTrouble] = useState<string>()
  const own = operation === 'own'
  // what usually stands on this side comes first
  const codes = [...jobOperations].sort((a, b) => Number(usualSide(a) !== side) - Number(usualSide(b) !== side))
  return (
    <div className="mt-3 grid items-end gap-3 sm:grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)_auto]">
      <ChoiceField
        label={`One more step ${side === 'before' ? 'before' : 'after'} the paint`}
        value={operation}
        onChange={(event) => setOperation(event.target.value as OperationCode)}
        options={[
          ['own', 'in your own words'] as const,
          ...codes.filter((code) => code !== 'own').map((code) => [code, getOperation(code).words] as const),
        ]}
      />
      <TextField
        label={own ? 'What is to be done' : 'In your own words, if you like'}
        value={words}
        maxLength={120}
        trouble={trouble}
        onChange={(event) => {
          setWords(event.target.value)
          setTrouble(undefined)
        }}
      />
      <button
        type="button"
        className="press min-h-12 px-5"
        {...press(() => {
          const said = words.trim()
          if (own && said === '') return setTrouble('Say what is to be done.')
          add(operation, said === '' ? null : said)
          setWords('')
        })}
      >
        Put it in
      </button>
    </div>
  )
}
