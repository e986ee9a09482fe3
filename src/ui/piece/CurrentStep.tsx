/** The step at hand of a part or of the piece: its window, and its buttons. */
import { type CardContext, type StepCard, toStepCard } from '@/core/bench/stepCard'
import { StepActions } from '@/ui/bench/StepActions'
import type { PartProps } from './PartSteps'
import { PartWindow } from './PartWindow'

/** What is known of it; null where nothing is left to do. */
export function currentCard({ journey, part }: Pick<PartProps, 'journey' | 'part'>, around: CardContext): StepCard | null {
  const step = part.running?.step ?? part.next
  const card = step && toStepCard(journey, part, step, around)
  return card && { ...card, step: asSaid(card.step) }
}
/** What is not said of it need not be sent. */
const asSaid = <T extends object>(thing: T): T =>
  Object.fromEntries(Object.entries(thing).filter(([, said]) => said !== undefined)) as T

export function CurrentStep({ card }: { card: StepCard }) {
  return (
    <>
      <PartWindow window={card.startedAt ? null : card.window} />
      <StepActions key={card.stepId} card={card} />
    </>
  )
}
