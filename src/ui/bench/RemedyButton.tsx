'use client'
/** A window was missed: what makes up for it goes into the plan with one tap. */
import { useState } from 'react'
import { getRepair, type RepairCode } from '../../core/finish/repairs'
import { useOutbox } from '../outbox/outbox'
import { mendIds } from './mendIds'
import type { StepCard } from './stepCard'

export function RemedyButton({ card, repair }: { card: StepCard; repair: RepairCode }) {
  const { send } = useOutbox()
  const [ids] = useState(() => mendIds())
  const [sent, setSent] = useState(false)
  const { words, remedy } = getRepair(repair)
  if (sent) return <span className="font-semibold text-soft">In the plan.</span>
  const put = async () => {
    const answer = await send(
      'mendPart',
      {
        ...ids,
        pieceId: card.pieceId,
        partId: card.partId,
        at: new Date().toISOString(),
        repair,
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
