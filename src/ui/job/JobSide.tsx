'use client'
/** The steps on one side of the paint: each with its minutes, moved or taken out in its place; a step put in at the end. */
import { ArrowDown, ArrowUp, X } from 'lucide-react'
import { useState } from 'react'
import { jobOperations, type Side, usualSide } from '@/core/craft/job'
import { getOperation, type OperationCode } from '@/core/craft/operations'
import type { DraftStep } from '@/core/plan/job'
import { ChoiceField, TextField } from '@/ui/form/Field'
import { sideWords } from '@/words/job'
import type { Job } from './useJob'

const titleOf = ({ words, operation }: Pick<DraftStep, 'words' | 'operation'>) => words ?? getOperation(operation).words

export function JobSide({ side, job }: { side: Side; job: Job }) {
  const steps = job.steps.filter((step) => step.side === side)
  return (
    <section aria-labelledby={`side-${side}`} className="mt-6">
      <h3 id={`side-${side}`} className="title text-2xl">
        {sideWords[side]}
      </h3>
      <ol className="mt-1 border-t border-line">
        {steps.map((step, k) => (
          <li
            key={step.id}
            className="grid min-h-14 grid-cols-[1fr_auto] items-center gap-x-3 border-b border-line py-1 sm:grid-cols-[1fr_auto_auto]"
          >
            <span className="text-lg font-semibold leading-tight">{titleOf(step)}</span>
            <label className="flex items-center gap-1.5 text-soft">
              <span className="sr-only">Minutes of: {titleOf(step)}</span>
              <Minutes minutes={step.minutes} set={(minutes) => job.setMinutes(step.id, minutes)} />
              min
            </label>
            <span className="col-span-2 flex gap-1 sm:col-span-1">
              <Quiet label={`Up: ${titleOf(step)}`} off={k === 0} press={() => job.move(step.id, -1)}>
                <ArrowUp aria-hidden size={20} />
              </Quiet>
              <Quiet label={`Down: ${titleOf(step)}`} off={k === steps.length - 1} press={() => job.move(step.id, 1)}>
                <ArrowDown aria-hidden size={20} />
              </Quiet>
              <Quiet label={`Take out: ${titleOf(step)}`} press={() => job.takeOut(step.id)}>
                <X aria-hidden size={20} />
              </Quiet>
            </span>
          </li>
        ))}
        {steps.length === 0 && (
          <li className="py-3 text-soft">{job.behind.some((key) => key.endsWith(side)) ? 'All of it is done.' : 'Nothing.'}</li>
        )}
      </ol>
      <AddStep side={side} add={(operation, words) => job.add(operation, side, words)} />
    </section>
  )
}

/** Minutes as they are typed; kept once they are some. */
function Minutes({ minutes, set }: { minutes: number; set: (minutes: number) => void }) {
  const [typed, setTyped] = useState<string | null>(null)
  return (
    <input
      inputMode="numeric"
      className="field w-20 text-right"
      value={typed ?? String(minutes)}
      onChange={(event) => {
        setTyped(event.target.value)
        const read = /^\d{1,4}$/.test(event.target.value.trim()) ? Number(event.target.value) : 0
        if (read > 0) set(read)
      }}
      onBlur={() => setTyped(null)}
    />
  )
}

function Quiet({
  label,
  off = false,
  press,
  children,
}: {
  label: string
  off?: boolean
  press: () => void
  children: React.ReactNode
}) {
  return (
    <button type="button" aria-label={label} disabled={off} onClick={press} className="press grid size-12 place-items-center p-0">
      {children}
    </button>
  )
}

function AddStep({ side, add }: { side: Side; add: (operation: OperationCode, words: string | null) => void }) {
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
        onClick={() => {
          const said = words.trim()
          if (own && said === '') return setTrouble('Say what is to be done.')
          add(operation, said === '' ? null : said)
          setWords('')
        }}
      >
        Put it in
      </button>
    </div>
  )
}
