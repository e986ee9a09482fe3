'use client'
/** What is known of a part and what it measures, put right; what it was goes into the log. */
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { PieceId } from '@/core/measure/named'
import type { Part } from '@/core/piece/piece'
import { useActions } from '@/ui/form/actions'
import { useHouse } from '@/ui/form/house'
import { OnePartForm } from './OnePartForm'
import { newSurface, type PartText } from './PartFields'

export function PartForm({ pieceId, part }: { pieceId: PieceId; part: Part }) {
  const { changePartFacts } = useActions()
  const house = useHouse()
  const [first] = useState(() => ({ entryId: uuidv7(), at: new Date().toISOString() }))
  const begin = (): PartText => {
    const { plan: _, earlier: __, surfaces, count, knots, foundColour, ...facts } = part
    return {
      ...facts,
      count: String(count),
      foundColour: foundColour ?? '',
      knots: knots === null ? '' : String(knots),
      surfaces: surfaces.map((face) => newSurface(face, house)),
    }
  }
  return (
    <OnePartForm
      pieceId={pieceId}
      begin={begin}
      send={(text) => changePartFacts({ ...first, pieceId, part: text })}
      words="Keep the changes"
    />
  )
}
