/** The steps of a part: those ahead with their reasons, those behind with what they took. */
import { type CardContext, toStepCard } from '@/core/bench/stepCard'
import type { House } from '@/core/input/fields'
import type { Journey, PartJourney } from '@/core/piece/journey'
import type { PlanStep } from '@/core/piece/piece'
import { stepTitle, whyWords, withWhat } from '@/words/craft'
import { amountWords } from '@/words/measure'
import { momentWords, spanWords } from '@/words/time'
import { LogCoatButton } from './LogCoatButton'

export interface PartProps {
  journey: Journey
  part: PartJourney
  /** the shelf and the mixes */
  stock: Pick<CardContext, 'products' | 'lots' | 'batches' | 'waiting'>
  house: House
  nowMs: number
}

export function StepsAhead({ part, house }: { part: PartJourney; house: House }) {
  const { steps, running, next } = part
  const current = running?.step ?? next
  const ahead = steps.filter(({ step, state }) => state.status === 'waiting' && step.id !== current?.id)
  const amountOf = ({ family, amount }: PlanStep) =>
    family === null || amount === null ? '' : amountWords(family, amount, house)
  if (ahead.length === 0) return null
  return (
    <ol className="mt-5 border-t border-line">
      {ahead.map(({ step }) => (
        <li key={step.id} className="border-b border-line py-1">
          <details>
            <summary className="flex min-h-12 cursor-pointer flex-wrap items-center justify-between gap-x-4">
              <span className="font-semibold">{stepTitle(step)}</span>
              <span className="text-soft">{[amountOf(step), `${step.minutes} min`].filter(Boolean).join(' · ')}</span>
            </summary>
            <p className="max-w-prose pb-3 text-soft">
              {withWhat(step)}
              {withWhat(step) && '. '}
              {whyWords(step)}
            </p>
          </details>
        </li>
      ))}
    </ol>
  )
}

/** Whatever plan it was done by, in the order it was done; what was left out of the plan in force after it. */
export function StepsBehind({ journey, part, house, nowMs, around }: PartProps & { around: CardContext }) {
  const leftOut = part.steps.filter(({ state }) => state.status === 'left-out')
  const count = part.done.length + leftOut.length
  if (count === 0) return null
  return (
    <details className="mt-4">
      <summary className="inline-flex min-h-12 cursor-pointer items-center font-semibold underline">
        {count === 1 ? 'One step behind it' : `${count} steps behind it`}
      </summary>
      <ol>
        {part.done.map(({ step, state }) => (
          <li key={step.id} className="flex min-h-12 flex-wrap items-center justify-between gap-x-4 border-b border-line">
            <span>{stepTitle(step)}</span>
            <span className="flex items-center gap-3 text-soft">
              {spanWords(state.minutes)}, {momentWords(state.endedAt, house, nowMs)}
              {step.amount !== null && state.coat === null && (
                <LogCoatButton card={toStepCard(journey, part, step, around)} endedAt={state.endedAt} />
              )}
            </span>
          </li>
        ))}
        {leftOut.map(({ step }) => (
          <li key={step.id} className="flex min-h-12 flex-wrap items-center justify-between gap-x-4 border-b border-line">
            <span>{stepTitle(step)}</span>
            <span className="text-soft">left out</span>
          </li>
        ))}
      </ol>
    </details>
  )
}
