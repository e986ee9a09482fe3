'use client'
/** A window was missed: what makes up for it goes into the plan with one tap. */
import { useState } from 'react'
import type { StepCard } from '@/core/bench/stepCard'
import { getRemedy, type RemedyCode } from '@/core/craft/remedies'
import { useMoment } from '@/ui/form/useMoment'
import { useOutbox } from '@/ui/outbox/useOutbox'
import { mendIds } from './mendIds'

export function RemedyButton({ card, remedy: code }: { card: StepCard; remedy: RemedyCode }) {
  const { send } = useOutbox()
  const [ids] = useState(() => mendIds())
  const [sent, setSent] = useState(false)
  const moment = useMoment(ids.entryId)
  const { words, remedy } = getRemedy(code)
  if (sent) return <span className="font-semibold text-soft">In the plan.</span>
  const put = async () => {
    const answer = await send(
      'mendPart',
      {
        ...ids,
        pieceId: card.pieceId,
        partId: card.partId,
        at: moment(),
        remedy: code,
        severity: 'plain',
        spot: null,
        failed: null,
        note: '',
      },
      `${words}: ${card.pieceName}, ${card.partName.toLowerCase()}`,
    )
    setSent('ok' in answer)
  }
  return (
    <button type="button" className="press" onClick={() => void put()} title={remedy}>
      Put the remedy into the plan
    </button>
  )
}
