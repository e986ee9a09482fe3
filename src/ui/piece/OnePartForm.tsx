'use client'
/** The fields of one part, sent as one: added to its piece, or put right. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import * as z from 'zod'
import type { Answer } from '@/core/input/issues'
import { partInput } from '@/core/input/piece'
import type { PieceId } from '@/core/measure/named'
import { Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { PartFields, type PartsText, type PartText } from './PartFields'

interface Props {
  pieceId: PieceId
  /** as it stands before anything is typed; asked for once */
  begin: () => PartText
  send: (part: PartText) => Promise<Answer>
  /** what the button says */
  words: string
}

export function OnePartForm({ pieceId, begin, send, words }: Props) {
  const house = useHouse()
  const router = useRouter()
  const [defaults] = useState<PartsText>(() => ({ parts: [begin()] }))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<PartsText>(
    z.object({ parts: z.array(partInput(house)).length(1) }),
    defaults,
    ({ parts }) => send(parts[0] as PartText),
    () => router.push(`/pieces/${pieceId}`),
  )
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="mt-5 space-y-5">
      <PartFields index={0} control={form.control} register={form.register} troubleOf={troubleOf} remove={null} />
      <Trouble>{issue}</Trouble>
      <button type="submit" disabled={pending} className="press press-now min-h-14 px-8 text-lg">
        {words}
      </button>
    </form>
  )
}
