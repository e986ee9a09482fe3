'use client'
/** Takes up what this studio has seen of a family's drying, or goes back to its label: on purpose alone. */
import { useRouter } from 'next/navigation'
import { v7 as uuidv7 } from 'uuid'
import { type FamilyCode, getFamily } from '@/core/craft/families'
import { useActions } from '@/ui/form/actions'
import { Trouble } from '@/ui/form/Field'
import { useWrite } from '@/ui/form/useWrite'

interface Props {
  family: FamilyCode
  /** what was seen is not what is in force */
  canTake: boolean
  /** it was seen often enough to believe it */
  isEnough: boolean
  isTaken: boolean
}
export function TakeUp({ family, canTake, isEnough, isTaken }: Props) {
  const { takeDryingFigure } = useActions()
  const write = useWrite(takeDryingFigure)
  const router = useRouter()
  const take = async (back: boolean) => {
    if (await write.send({ id: uuidv7(), family, at: new Date().toISOString(), back })) router.refresh()
  }
  return (
    <span className="flex flex-wrap items-center gap-2">
      {canTake && (
        <button
          type="button"
          className={`press ${isEnough ? 'press-now' : ''}`}
          disabled={write.pending}
          aria-label={`Take it up: ${getFamily(family).words}`}
          onClick={() => void take(false)}
        >
          Take it up
        </button>
      )}
      {isTaken && (
        <button type="button" className="press" disabled={write.pending} onClick={() => void take(true)}>
          Back to the label
        </button>
      )}
      <Trouble>{write.issue}</Trouble>
    </span>
  )
}
