'use client'
/** What is known of a part and what it measures, put right; what it was goes into the log. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { z } from 'zod'
import { partInput } from '@/core/input/piece'
import type { Part } from '@/core/piece/piece'
import { useActions } from '@/ui/form/actions'
import { Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { newSurface, PartFields, type PartsText, type PartText } from './PartFields'

export function PartForm({ pieceId, part }: { pieceId: string; part: Part }) {
  const { changePartFacts } = useActions()
  const house = useHouse()
  const router = useRouter()
  const [defaults] = useState<PartsText>(() => {
    const { plan: _, earlier: __, surfaces, ...facts } = part
    const text: PartText = {
      ...facts,
      count: String(part.count),
      knots: part.knots === null ? '' : String(part.knots),
      surfaces: surfaces.map((face) => newSurface(face, house.units)),
    }
    return { parts: [text] }
  })
  const [send] = useState(() => {
    const entryId = uuidv7()
    return (typed: PartsText) =>
      changePartFacts({ entryId, pieceId, at: new Date().toISOString(), part: typed.parts[0] as PartText })
  })
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
        Keep the changes
      </button>
    </form>
  )
}
