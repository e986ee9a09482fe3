'use client'
/** A piece's facts, changed; what they were goes into the log. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { Room } from '@/core/climate/rooms'
import { amendInput, type AmendText } from '@/core/input/piece'
import { moneyText } from '@/core/measure/money'
import { articles } from '@/core/piece/articles'
import { type Piece, sources } from '@/core/piece/piece'
import { useActions } from '@/ui/form/actions'
import { AreaField, ChoiceField, pairs, TextField, Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { ReadyLine } from '@/ui/week/ReadyLine'

export function FactsForm({ piece, rooms }: { piece: Piece; rooms: readonly Room[] }) {
  const { amendPiece } = useActions()
  const house = useHouse()
  const router = useRouter()
  const [defaults] = useState<AmendText>(() => ({
    pieceId: piece.id,
    entryId: uuidv7(),
    name: piece.name,
    source: piece.source,
    sourceNote: piece.sourceNote ?? '',
    client: piece.client ?? '',
    promisedOn: piece.promisedOn ?? '',
    expected: piece.expected === null ? '' : moneyText(piece.expected, house),
    condition: piece.condition ?? '',
    roomId: piece.roomId ?? '',
    article: piece.article ?? '',
  }))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<AmendText>(amendInput(house), defaults, amendPiece, () =>
    router.push(`/pieces/${piece.id}`),
  )
  const { register } = form
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="mt-5 grid max-w-3xl grid-cols-2 gap-4">
      <TextField label="What it is" {...register('name')} trouble={troubleOf('name')} className="col-span-2" />
      <ChoiceField label="From" {...register('source')} options={pairs(sources)} />
      <TextField label="Where exactly" {...register('sourceNote')} trouble={troubleOf('sourceNote')} />
      <TextField label="Client" {...register('client')} trouble={troubleOf('client')} />
      <TextField label="Promised for" type="date" {...register('promisedOn')} trouble={troubleOf('promisedOn')} />
      <ReadyLine
        pieceId={piece.id}
        supposed={{}}
        promise={(day) => form.setValue('promisedOn', day, { shouldDirty: true })}
        className="col-span-2"
      />
      <TextField
        label={`Should bring, ${house.currency}`}
        inputMode="decimal"
        {...register('expected')}
        trouble={troubleOf('expected')}
      />
      {rooms.length > 0 && (
        <ChoiceField
          label="Stands in"
          {...register('roomId')}
          options={[['', 'not said'], ...rooms.map(({ id, name }) => [id, name] as const)]}
        />
      )}
      <ChoiceField
        label="Kind of article"
        {...register('article')}
        hint="Like pieces, and the rate card, go by it."
        options={[['', 'another'], ...pairs(articles)]}
      />
      <AreaField label="Condition" {...register('condition')} trouble={troubleOf('condition')} className="col-span-2" />
      <div className="col-span-2 empty:hidden">
        <Trouble>{issue}</Trouble>
      </div>
      <button type="submit" disabled={pending} className="press press-now min-h-14 text-lg">
        Keep the changes
      </button>
    </form>
  )
}
