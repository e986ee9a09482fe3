'use client'
/** What the rules put in between two layers: each step with why, left out with what that means, put back. */
import type { DeskAct } from '@/core/desk/desk'
import type { DeskStratum } from '@/core/desk/strata'
import { ConflictLine } from '@/ui/plan/ConflictLine'
import { reasonWords, stepTitle } from '@/words/craft'

type Added = Extract<DeskStratum, { is: 'added' }>

export function AddedLines({ added, act }: { added: Added; act: (act: DeskAct) => void }) {
  const gone = added.steps.filter(({ left }) => left).length
  return (
    <details className="border-l-[1.25rem] border-dashed border-line/60 pl-4 text-soft" open={gone > 0 || undefined}>
      <summary className="flex min-h-11 cursor-pointer items-center gap-2 text-sm">
        <span aria-hidden className="h-px w-5 bg-soft" />
        <span>
          before it: {added.steps.map(({ step }) => stepTitle(step).toLowerCase()).join(', ')}
          {gone > 0 && <span className="font-semibold text-late"> · {gone} left out</span>}
        </span>
      </summary>
      <ul className="pb-2">
        {added.steps.map(({ key, step, left }) => (
          <li key={key} className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 py-1">
            <span className="min-w-0 flex-1 basis-56">
              <span className={`font-semibold text-ink ${left ? 'line-through' : ''}`}>{stepTitle(step)}</span>{' '}
              <span className="text-sm">{step.minutes} min</span>
              <span className="block text-sm">{reasonWords[step.reason]}</span>
            </span>
            <button
              type="button"
              className="press"
              aria-label={`${left ? 'Put back' : 'Leave out'}: ${stepTitle(step)}`}
              onClick={() => act({ kind: 'leave', key, out: !left })}
            >
              {left ? 'Put it back' : 'Leave it out'}
            </button>
          </li>
        ))}
      </ul>
      {added.conflicts.map((conflict) => (
        <ConflictLine key={conflict.code} conflict={conflict} />
      ))}
    </details>
  )
}
