/** The step at hand of a part or of the piece: its window, and its buttons. */
import { type CardContext, toStepCard } from '@/core/bench/stepCard'
import { StepActions } from '@/ui/bench/StepActions'
import type { PartProps } from './PartSteps'
import { PartWindow } from './PartWindow'

export function CurrentStep({ journey, part, around }: Pick<PartProps, 'journey' | 'part'> & { around: CardContext }) {
  const step = part.running?.step ?? part.next
  if (!step) return null
  const card = toStepCard(journey, part, step, around)
  return (
    <>
      <PartWindow window={card.startedAt ? null : card.window} />
      <StepActions key={step.id} card={card} />
    </>
  )
}
