'use client'
/** What a client said elsewhere than on their page, written down; or that a change goes on without an answer, and why. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { AnswerKind, OfferOption, QuoteKind } from '@/core/price/offer'
import { useActions } from '@/ui/form/actions'
import { ChoiceField, TextField, Trouble } from '@/ui/form/Field'
import { useWrite } from '@/ui/form/useWrite'

interface Props {
  pieceId: string
  quoteId: string
  kind: QuoteKind
  options: readonly OfferOption[]
}
export function AnswerQuote({ pieceId, quoteId, kind, options }: Props) {
  const { answerQuote, withdrawQuote } = useActions()
  const router = useRouter()
  const saying = useWrite(answerQuote)
  const taking = useWrite(withdrawQuote)
  const [reason, setReason] = useState('')
  const [chosen, setChosen] = useState<Record<string, string>>(() =>
    Object.fromEntries(options.map(({ id, choices }) => [id, choices[0]?.id ?? ''])),
  )
  const [id] = useState(() => uuidv7())
  const say = async (answer: AnswerKind) => {
    if (await saying.send({ id, quoteId, pieceId, answer, reason, chosen: answer === 'accepted' ? chosen : {} })) router.refresh()
  }
  const withdraw = async () => {
    if (await taking.send({ entryId: uuidv7(), quoteId, at: new Date().toISOString() })) router.refresh()
  }
  return (
    <details className="mt-1">
      <summary className="tap underline">They said it here, or it is withdrawn</summary>
      <div className="mt-2 max-w-xl space-y-3">
        {options.map((option) => (
          <ChoiceField
            key={option.id}
            label={option.words}
            value={chosen[option.id] ?? ''}
            onChange={(event) => setChosen((before) => ({ ...before, [option.id]: event.target.value }))}
            options={option.choices.map((choice) => [choice.id, choice.words])}
          />
        ))}
        <TextField
          label={kind === 'change' ? 'How you know, or why it goes on without an answer' : 'How you know'}
          placeholder="said at the door, by telephone"
          value={reason}
          onChange={(event) => {
            setReason(event.target.value)
            saying.forget()
          }}
          trouble={saying.fields.reason ?? saying.fields.chosen}
        />
        <div className="flex flex-wrap gap-3">
          <button
            type="button"
            className="press press-now min-h-12"
            disabled={saying.pending}
            onClick={() => void say('accepted')}
          >
            They accepted
          </button>
          <button type="button" className="press min-h-12" disabled={saying.pending} onClick={() => void say('declined')}>
            They declined
          </button>
          {kind === 'change' && (
            <button type="button" className="press min-h-12" disabled={saying.pending} onClick={() => void say('overridden')}>
              Go on without an answer
            </button>
          )}
          <button type="button" className="press min-h-12" disabled={taking.pending} onClick={() => void withdraw()}>
            Withdraw it
          </button>
        </div>
        <Trouble>{saying.issue ?? taking.issue}</Trouble>
      </div>
    </details>
  )
}
