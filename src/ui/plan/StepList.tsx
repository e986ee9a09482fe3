'use client'
/** The steps of a plan as they will be worked; leave one out or move it, and what will not get on is said where it happens. */
import { ArrowDown, ArrowUp } from 'lucide-react'
import type { PlannedStep } from '../../core/finish/planFinish'
import type { StepWindow } from '../../core/finish/windows'
import type { Conflict } from '../../core/stack/checkStack'
import { getOperation } from '../../core/labour/operations'
import { cautionWords, checkWords, reasonWords, sourceWords, stepTitle, withWhat } from '../words/craft'
import { conflictWords, severityWords } from '../words/conflicts'
import { spanWords } from '../words/time'

export interface DeskStep {
  step: PlannedStep
  /** position in the plan as the planner made it */
  position: number
  left: boolean
}

export function ConflictLine({ conflict, mend }: { conflict: Conflict; mend?: React.ReactNode }) {
  const tone = conflict.severity === 'advice' ? 'border-now' : 'border-late text-late'
  const remedies = conflict.remedies.map(({ operation }) => getOperation(operation).words.toLowerCase())
  return (
    <span className={`mt-1 block border-l-4 pl-3 font-semibold ${tone}`}>
      {severityWords[conflict.severity]}: {conflictWords[conflict.code]}
      {remedies.length > 0 && <span className="block font-normal text-ink">Mends it: {remedies.join(', then ')}.</span>}
      {mend}
    </span>
  )
}

function waitWords({ opens, closes }: StepWindow): string {
  if (opens[1] === 0) return closes ? `go on within ${spanWords(closes[0])}` : 'go on at once'
  return `then wait ${spanWords(opens[1])}${closes ? `, but no longer than ${spanWords(closes[0])}` : ''}`
}

export function StepList({
  steps,
  conflicts,
  toggle,
  move,
}: {
  steps: readonly DeskStep[]
  /** by position in the planner's own order */
  conflicts: ReadonlyMap<number, readonly Conflict[]>
  toggle: (position: number) => void
  move: (index: number, by: -1 | 1) => void
}) {
  return (
    <ol className="mt-4 border-t border-line" aria-label="Steps">
      {steps.map(({ step, position, left }, k) => (
        <li key={position} className={`border-b border-line ${left ? 'opacity-80' : ''}`}>
          <details>
            <summary className="grid min-h-12 cursor-pointer grid-cols-[2rem_1fr_auto] items-baseline gap-x-2 py-1.5">
              <span className="figure text-lg text-soft">{k + 1}</span>
              <span>
                <span className={`font-semibold ${left ? 'line-through' : ''}`}>{stepTitle(step)}</span>
                {step.window && !left && <span className="block text-sm text-soft">{waitWords(step.window)}</span>}
                {(conflicts.get(position) ?? []).map((conflict) => (
                  <ConflictLine key={conflict.code} conflict={conflict} />
                ))}
              </span>
              <span className="text-soft">{left ? 'left out' : `${step.minutes} min`}</span>
            </summary>
            <div className="pb-4 pl-10">
              <p>
                {reasonWords[step.reason]} {!step.needed && <span className="text-soft">It can be left out.</span>}
              </p>
              <p className="text-soft">
                {[
                  withWhat(step),
                  step.check && `done when: ${checkWords[step.check]}`,
                  step.window && `window: ${sourceWords[step.window.source]}`,
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </p>
              {step.cautions.map((code) => (
                <p key={code} className="mt-2 border-l-4 border-late pl-3 font-semibold">
                  {cautionWords[code]}
                </p>
              ))}
              <div className="mt-3 flex flex-wrap gap-2">
                <button type="button" className="press" onClick={() => toggle(position)}>
                  {left ? 'Put it back' : 'Leave it out'}
                </button>
                <button
                  type="button"
                  className="press px-3"
                  disabled={k === 0}
                  onClick={() => move(k, -1)}
                  aria-label={`Earlier: ${stepTitle(step)}`}
                >
                  <ArrowUp aria-hidden size={20} />
                </button>
                <button
                  type="button"
                  className="press px-3"
                  disabled={k === steps.length - 1}
                  onClick={() => move(k, 1)}
                  aria-label={`Later: ${stepTitle(step)}`}
                >
                  <ArrowDown aria-hidden size={20} />
                </button>
              </div>
            </div>
          </details>
        </li>
      ))}
    </ol>
  )
}
