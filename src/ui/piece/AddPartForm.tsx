'use client'
/** A part that was seen late: an apron that should have been painted as well. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { z } from 'zod'
import { partInput } from '@/core/input/piece'
import { useActions } from '@/ui/form/actions'
import { Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { newPart, PartFields, type PartsText } from './PartFields'

export function AddPartForm({ pieceId }: { pieceId: string }) {
  const { addPartToPiece } = useActions()
  const house = useHouse()
  const router = useRouter()
  const [defaults] = useState<PartsText>(() => ({ parts: [newPart(null, house.units)] }))
  const [send] = useState(
    () => (typed: PartsText) => addPartToPiece({ pieceId, part: typed.parts[0] as PartsText['parts'][number] }),
  )
  const { form, submit, pending, issue, troubleOf } = useEntryForm<PartsText>(
    z.object({ parts: z.array(partInput(house)).length(1) }),
    defaults,
    send,
    () => router.push(`/pieces/${pieceId}`),
  )
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="mt-5 space-y-5">
      <PartFields index={0} control={form.control} register={form.register} troubleOf={troubleOf} remove={null} />
      <Trouble>{issue}</Trouble>
      <button type="submit" disabled={pending} className="press press-now min-h-14 px-8 text-lg">
        Add the part
      </button>
    </form>
  )
}
