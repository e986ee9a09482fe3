'use client'
/**
 * A step has ended: what went on, said in a sentence as the plan and the last like coat have it, and the check that ends it,
 * asked in its own words. The usual coat is one tap more; what was different is opened; what is wrong becomes a snag.
 */
import { Dialog } from 'radix-ui'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { withMixes } from '@/core/bench/coatPlan'
import type { StepCard } from '@/core/bench/stepCard'
import type { Reading } from '@/core/drying/windowFor'
import type { Instant } from '@/core/measure/named'
import { Sheet } from '@/ui/frame/Sheet'
import { useOutbox } from '@/ui/outbox/useOutbox'
import { cardName, stepTitle } from '@/words/craft'
import { CoatForm } from './CoatForm'
import { SnagForm } from './SnagForm'
import { type Judged, Question, Verdicts } from './Verdicts'

interface Props {
  card: StepCard
  endedAt: Instant
  air: Reading | null
  done: () => void
}

export function DoneDialog(props: Props) {
  const { send } = useOutbox()
  const { card, endedAt, done } = props
  const [checkId] = useState(() => uuidv7())
  const on = { pieceId: card.pieceId, partId: card.partId, stepId: card.stepId, at: endedAt }
  const answer = (result: 'pass' | 'later') => {
    if (card.check)
      void send('checkStep', { entryId: checkId, ...on, checkCode: card.check, result }, `Checked: ${cardName(card)}`)
    done()
  }
  return (
    // closed without an answer, the check is asked again later
    <Dialog.Root open onOpenChange={(next) => !next && answer('later')}>
      <Sheet>
        <Done {...props} answer={answer} />
      </Sheet>
    </Dialog.Root>
  )
}

function Done({ card, endedAt, air, done, answer }: Props & { answer: (result: 'pass' | 'later') => void }) {
  const { entries } = useOutbox()
  // what was mixed a moment ago is offered, though the page was made before
  const [plan] = useState(() => card.coat && withMixes(card.coat, card.stepId, entries, Date.parse(endedAt)))
  const [failedId] = useState(() => uuidv7())
  const [wrong, setWrong] = useState(false)
  const judge = (verdict: Judged) => (verdict === 'fail' ? setWrong(true) : answer(verdict))
  return (
    <div>
      <p className="eyebrow">
        {card.pieceName} · {card.partName}
      </p>
      <Dialog.Title className="title text-3xl">{stepTitle(card.step)}</Dialog.Title>
      {wrong ? (
        <div className="mt-3">
          <Dialog.Description className="mb-4 text-soft">What is wrong with it, and where?</Dialog.Description>
          <SnagForm
            on={{
              ...card,
              failed: card.check ? { entryId: failedId, stepId: card.stepId, checkCode: card.check } : null,
            }}
            done={done}
          />
        </div>
      ) : plan ? (
        <CoatForm card={card} plan={plan} endedAt={endedAt} air={air} judge={judge} />
      ) : (
        <>
          <Dialog.Description className="sr-only">Was it done well?</Dialog.Description>
          <Question check={card.check} />
          <div className="mt-5">
            <Verdicts words="Yes, well done" judge={judge} check />
          </div>
        </>
      )}
    </div>
  )
}
