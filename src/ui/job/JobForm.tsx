'use client'
/** What is counted on a piece, and the work before its paint and after that it asks for. */
import { sides } from '@/core/craft/job'
import { Trouble } from '@/ui/form/Field'
import { spanWords } from '@/words/time'
import { Counts } from './Counts'
import { JobSide } from './JobSide'
import { type JobStart, useJob } from './useJob'

export function JobForm(start: JobStart) {
  const job = useJob(start)
  return (
    <div className="mt-6 grid gap-x-14 gap-y-10 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.35fr)]">
      <section aria-labelledby="counted" className="border-t-2 border-ink pt-4">
        <h2 id="counted" className="title text-3xl">
          Counted on it
        </h2>
        <Counts counted={job.counted} count={job.count} className="mt-2" />
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
        <div className="in-reach mt-6 space-y-3">
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
