'use client'
/** A part that is not painted: it stays as it is, and is done when the rest is. */
import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { PartId, PieceId } from '@/core/measure/named'
import type { CareKind } from '@/core/plan/care'
import { useActions } from '@/ui/form/actions'
import { Trouble } from '@/ui/form/Field'
import { useWrite } from '@/ui/form/useWrite'

const choiceWords: Record<CareKind, string> = { untouched: 'not touched', cleaned: 'cleaned', waxed: 'cleaned and waxed' }
const mostSteps = 6

interface Props {
  pieceId: PieceId
  partId: PartId
  /** what can be had here, with its minutes */
  choices: readonly { care: CareKind; minutes: number }[]
  /** what the plan in force says */
  now: CareKind | null
}

export function CareChoice({ pieceId, partId, choices, now }: Props) {
  const { planCare } = useActions()
  const router = useRouter()
  const write = useWrite(planCare)
  // one plan for each choice: sent twice it is stored once
  const [ids] = useState(
    () => new Map(choices.map(({ care }) => [care, [uuidv7(), Array.from({ length: mostSteps }, () => uuidv7())] as const])),
  )
  // pressed again because no answer came, it is the same plan of the same moment
  const first = useRef(new Map<string, string>())
  const take = async (care: CareKind) => {
    const [planId, stepIds] = ids.get(care) ?? [uuidv7(), []]
    const at = first.current.get(planId) ?? new Date().toISOString()
    first.current.set(planId, at)
    if (await write.send({ planId, pieceId, partId, stepIds: [...stepIds], at, care })) router.push(`/pieces/${pieceId}`)
  }
  return (
    <section
      aria-labelledby="stays"
      className="mb-3 flex items-center gap-x-3 gap-y-1 border-y border-line py-2 sm:mb-8 sm:flex-wrap sm:gap-x-4 sm:py-3"
    >
      <h2 id="stays" className="w-18 shrink-0 font-semibold leading-tight sm:w-auto sm:text-lg">
        It stays as it is:
      </h2>
      <span className="strip">
        {choices.map(({ care, minutes }) => (
          <button
            key={care}
            type="button"
            className="press"
            aria-pressed={now === care}
            disabled={write.pending}
            onClick={() => void take(care)}
          >
            {choiceWords[care]}
            {minutes > 0 && <span className="ml-1.5 font-normal text-soft">{minutes} min</span>}
          </button>
        ))}
      </span>
      <Trouble>{write.issue}</Trouble>
    </section>
  )
}
