'use client'
/** A part that was seen late: an apron that should have been painted as well. */
import type { PieceId } from '@/core/measure/named'
import { useActions } from '@/ui/form/actions'
import { useHouse } from '@/ui/form/house'
import { OnePartForm } from './OnePartForm'
import { newPart } from './PartFields'

export function AddPartForm({ pieceId }: { pieceId: PieceId }) {
  const { addPartToPiece } = useActions()
  const house = useHouse()
  return (
    <OnePartForm
      pieceId={pieceId}
      begin={() => newPart(null, house)}
      send={(part) => addPartToPiece({ pieceId, part })}
      words="Add the part"
    />
  )
}
