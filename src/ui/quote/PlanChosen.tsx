'use client'
/** What the client chose and the plan does not lay yet: planned so by one press; what is done stays done. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { ChosenWay } from '@/core/house/chosenWay'
import type { PlanText } from '@/core/input/piece'
import type { PieceId } from '@/core/measure/named'
import { useActions } from '@/ui/form/actions'
import { Trouble } from '@/ui/form/Field'
import { useWrite } from '@/ui/form/useWrite'
import { Link } from '@/ui/frame/Link'

export function PlanChosen({ pieceId, ways }: { pieceId: PieceId; ways: readonly ChosenWay[] }) {
  return (
    <ul className="mt-4 max-w-prose space-y-3">
      {ways.map((way) => (
        // another plan in force is asked anew
        <Way key={`${way.partId} ${way.plan.id}`} {...{ pieceId, way }} />
      ))}
    </ul>
  )
}

/** more than any plan has: only the server knows how many */
const mostSteps = 200
const anyColour = { name: 'First colour', hex: '#3d5661' }

function Way({ pieceId, way }: { pieceId: PieceId; way: ChosenWay }) {
  const { planPart } = useActions()
  const { send, pending, issue } = useWrite(planPart)
  const router = useRouter()
  const [ids] = useState(() => ({ planId: uuidv7(), stepIds: Array.from({ length: mostSteps }, () => uuidv7()) }))
  const [openedAt] = useState(() => new Date().toISOString())
  const { partId, part, words, plan, edits, seal, sheen } = way
  const typed: PlanText = {
    ...ids,
    ...{ partId, pieceId, at: openedAt, look: plan.look, with: [...plan.with], paint: plan.paint, departures: plan.departures },
    colours: { a: plan.colours.a ?? anyColour, ...(plan.colours.b && { b: plan.colours.b }) },
    ...{ seal: seal ?? '', sheen, edits },
    ...(plan.touches && { touches: [...plan.touches] }),
  }
  const take = async () => {
    if (await send(typed)) router.refresh()
  }
  return (
    <li className="border-l-4 border-now pl-4">
      <p role="status" className="text-lg">
        They chose <strong>{words}</strong> for {part.toLowerCase()}; its plan is another still.
      </p>
      <div className="mt-1 flex flex-wrap items-center gap-x-6">
        <button type="button" className="press press-now" disabled={pending} onClick={() => void take()}>
          Plan it so
        </button>
        <Link href={`/pieces/${pieceId}/plan/${partId}`} className="tap">
          To its plan
        </Link>
      </div>
      <Trouble>{issue}</Trouble>
    </li>
  )
}
