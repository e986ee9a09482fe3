/** The steps of a part: those ahead with their reasons, those behind with what they took. */
import { type CardContext, toStepCard } from '@/core/bench/stepCard'
import type { House } from '@/core/input/fields'
import type { Journey, PartJourney } from '@/core/piece/journey'
import type { PlanStep } from '@/core/piece/piece'
import { stepTitle, whyWords, withWhat } from '@/words/craft'
import { amountWords } from '@/words/measure'
import { momentWords, spanWords } from '@/words/time'
import { AheadSteps } from './AheadSteps'
import { FoldedSteps, type StepBehind } from './FoldedSteps'

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
  const ahead = steps.flatMap(({ step, state }) => (state.status === 'waiting' && step.id !== current?.id ? [step] : []))
  const amountOf = ({ family, amount }: PlanStep) =>
    family === null || amount === null ? '' : amountWords(family, amount, house)
  if (ahead.length === 0) return null
  const words = ahead.map((step) => ({
    id: step.id,
    words: stepTitle(step),
    takes: [amountOf(step), `${step.minutes} min`].filter(Boolean).join(' · '),
    why: [withWhat(step), whyWords(step)].filter(Boolean).join('. '),
  }))
  return <AheadSteps steps={words} />
}

/** Whatever plan it was done by, in the order it was done; what was left out of the plan in force after it. */
export function StepsBehind({ journey, part, house, nowMs, around }: PartProps & { around: CardContext }) {
  const done = part.done.map(({ step, state }): StepBehind => {
    const words = stepTitle(step)
    const took = `${spanWords(state.minutes)}, ${momentWords(state.endedAt, house, nowMs)}`
    if (step.amount === null || state.coat !== null) return { words, took }
    return { words, took, asked: { card: toStepCard(journey, part, step, around), endedAt: state.endedAt } }
  })
  const leftOut = part.steps.filter(({ state }) => state.status === 'left-out')
  const steps = [...done, ...leftOut.map(({ step }): StepBehind => ({ words: stepTitle(step), took: 'left out' }))]
  return steps.length === 0 ? null : <FoldedSteps steps={steps} />
}
