'use client'
/** Photographs added to a piece or to one of its parts, and the one taken at a step. */
import { useState } from 'react'
import type { StepCard } from '@/core/bench/stepCard'
import type { PartId, PieceId } from '@/core/measure/named'
import { ChoiceField, pairs } from '@/ui/form/Field'
import { stepTitle } from '@/words/craft'
import { type Chosen, PhotoPicker, usePhotos } from './PhotoPicker'

export const moments = { before: 'before', during: 'during', after: 'after' } as const
type Moment = keyof typeof moments

export function AddPhotos({
  pieceId,
  name,
  moment,
  parts,
}: {
  pieceId: PieceId
  name: string
  moment: Moment
  parts: readonly { id: PartId; name: string }[]
}) {
  const photos = usePhotos()
  const [when, setWhen] = useState(moment)
  const [partId, setPartId] = useState('')
  const add = (files: Chosen[]) => {
    photos.add(files)
    const part = parts.find(({ id }) => id === partId)
    const alt = [name, part?.name.toLowerCase(), when].filter(Boolean).join(', ')
    void photos.send(files, { pieceId, partId: partId || null, stepId: null, moment: when, alt })
  }
  return (
    <div className="mt-4 flex flex-wrap items-end gap-3">
      <ChoiceField
        label="Taken"
        value={when}
        onChange={(event) => setWhen(event.target.value as Moment)}
        options={pairs(moments)}
        className="w-32"
      />
      {parts.length > 1 && (
        <ChoiceField
          label="Shows"
          value={partId}
          onChange={(event) => setPartId(event.target.value)}
          options={[['', 'the whole piece'], ...parts.map((part) => [part.id, part.name.toLowerCase()] as const)]}
          className="w-44"
        />
      )}
      <PhotoPicker label="Add photographs" chosen={photos.chosen} states={photos.states} add={add} />
    </div>
  )
}

/** What a step looks like now, taken where one stands. */
export function StepPhoto({ card }: { card: StepCard }) {
  const photos = usePhotos()
  const add = (files: Chosen[]) => {
    photos.add(files)
    const { pieceId, partId, stepId } = card
    const alt = `${card.pieceName}, ${card.partName.toLowerCase()}, ${stepTitle(card.step).toLowerCase()}`
    void photos.send(files, { pieceId, partId, stepId, moment: 'during', alt })
  }
  return <PhotoPicker label="Photograph" camera chosen={photos.chosen} states={photos.states} add={add} />
}
