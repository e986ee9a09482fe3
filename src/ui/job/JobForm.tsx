'use client'
/** What is counted on a piece, and the work before its paint and after that it asks for. */
import { Minus, Plus } from 'lucide-react'
import { type CountCode, countCodes, sides } from '@/core/craft/job'
import { Trouble } from '@/ui/form/Field'
import { countWords } from '@/words/job'
import { spanWords } from '@/words/time'
import { JobSide } from './JobSide'
import { type JobStart, useJob } from './useJob'

const atMost = 200

export function JobForm(start: JobStart) {
  const job = useJob(start)
  return (
    <div className="mt-6 grid gap-x-14 gap-y-10 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.35fr)]">
      <section aria-labelledby="counted" className="border-t-2 border-ink pt-4">
        <h2 id="counted" className="title text-3xl">
          Counted on it
        </h2>
        <ul className="mt-2">
          {countCodes.map((code) => (
            <li key={code} className="flex min-h-16 items-center justify-between gap-4 border-b border-line py-1">
              <span className="text-lg font-semibold leading-tight">{countWords[code]}</span>
              <Stepper code={code} times={job.counted[code] ?? 0} set={(times) => job.count(code, times)} />
            </li>
          ))}
        </ul>
      </section>
      <section aria-labelledby="asks">
        <h2 id="asks" className="sr-only">
          The work it asks for
        </h2>
        <p className="border-t-2 border-ink pt-4" aria-live="polite">
          <span className="figure mr-2 text-6xl">{spanWords(job.minutes)}</span>{' '}
          <span className="text-xl text-soft">around the paint</span>
        </p>
        {sides.map((side) => (
          <JobSide key={side} side={side} job={job} />
        ))}
        <div className="sticky bottom-16 mt-6 space-y-3 border-t-2 border-ink bg-ground py-4 sm:bottom-0">
          <Trouble>{Object.values(job.fields)[0] ?? job.issue}</Trouble>
          <button
            type="button"
            className="press press-now min-h-16 px-8 text-xl"
            disabled={job.pending}
            onClick={() => void job.take()}
          >
            {job.pending ? 'Writing it down…' : 'This is the work'}
          </button>
        </div>
      </section>
    </div>
  )
}

/** A count under a thumb: one more, one fewer, or typed. */
function Stepper({ code, times, set }: { code: CountCode; times: number; set: (times: number) => void }) {
  const words = countWords[code]
  return (
    <span className="flex items-center gap-1">
      <button
        type="button"
        className="press grid size-14 place-items-center p-0"
        aria-label={`One fewer: ${words}`}
        disabled={times === 0}
        onClick={() => set(times - 1)}
      >
        <Minus aria-hidden size={22} />
      </button>
      <input
        aria-label={words}
        inputMode="numeric"
        className="figure w-14 bg-transparent text-center text-4xl"
        value={times}
        onChange={(event) => {
          const typed = Number(event.target.value.replace(/\D/g, ''))
          set(Math.min(atMost, typed))
        }}
      />
      <button
        type="button"
        className="press grid size-14 place-items-center p-0"
        aria-label={`One more: ${words}`}
        disabled={times >= atMost}
        onClick={() => set(times + 1)}
      >
        <Plus aria-hidden size={22} />
      </button>
    </span>
  )
}
