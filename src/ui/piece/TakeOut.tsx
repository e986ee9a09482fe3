'use client'
/** A part taken out of its piece, or put back: its log stays either way. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { PartId, PieceId } from '@/core/measure/named'
import { useActions } from '@/ui/form/actions'
import { TextField, Trouble } from '@/ui/form/Field'
import { useMoment } from '@/ui/form/useMoment'
import { useWrite } from '@/ui/form/useWrite'

interface Props {
  pieceId: PieceId
  part: { id: PartId; name: string }
  out: boolean
  /** a piece has one part at least */
  alone: boolean
}

export function TakeOut({ pieceId, part, out, alone }: Props) {
  const { takePart } = useActions()
  const { send, pending, issue } = useWrite(takePart)
  const router = useRouter()
  const [note, setNote] = useState('')
  const [entryId] = useState(() => uuidv7())
  const moment = useMoment(entryId)
  const take = async () => {
    if (await send({ entryId, pieceId, partId: part.id, at: moment(), back: out, note })) router.push(`/pieces/${pieceId}`)
  }
  if (alone && !out) return null
  return (
    <section aria-labelledby="take-out" className="mt-10 max-w-2xl border-t-2 border-ink pt-4">
      <h2 id="take-out" className="title text-3xl">
        {out ? 'Put it back' : 'Take it out'}
      </h2>
      <p className="mt-1 text-soft">
        {out
          ? 'It stands among the parts again, as far on its way as it was.'
          : 'It is no part of the piece any more: nothing is asked of it, and its steps are not counted as ahead. Its log stays.'}
      </p>
      <div className="mt-3 flex flex-wrap items-end gap-3">
        <TextField label="Why" value={note} onChange={(event) => setNote(event.target.value)} className="min-w-64 flex-1" />
        <button type="button" disabled={pending} className="press min-h-12" onClick={() => void take()}>
          {out ? `Put ${part.name} back` : `Take ${part.name} out`}
        </button>
      </div>
      <div className="mt-3 empty:hidden">
        <Trouble>{issue}</Trouble>
      </div>
    </section>
  )
}
