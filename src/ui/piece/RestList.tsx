'use client'
/** What is left of the mixes made for this piece: kept as a tin that says what it was mixed of, or thrown away. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { restInput, type RestText } from '@/core/input/house'
import { amountText, formatAmount, smallUnit } from '@/core/measure/amount'
import type { PieceId } from '@/core/measure/named'
import type { Rest } from '@/core/piece/rests'
import { useActions } from '@/ui/form/actions'
import { TextField, Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { useTapGuard } from '@/ui/form/useTapGuard'

export function RestList({ pieceId, rests }: { pieceId: PieceId; rests: readonly Rest[] }) {
  if (rests.length === 0) return null
  return (
    <section aria-labelledby="rests" className="border-t-2 border-ink pt-5">
      <h2 id="rests" className="title text-3xl">
        Left of its mixes
      </h2>
      <ul>
        {rests.map((rest) => (
          <OneRest key={rest.batch.id} pieceId={pieceId} rest={rest} />
        ))}
      </ul>
    </section>
  )
}

function OneRest({ pieceId, rest: { batch, colour, over } }: { pieceId: PieceId; rest: Rest }) {
  const house = useHouse()
  const [open, setOpen] = useState(false)
  const { guard, stir } = useTapGuard()
  return (
    <li className="border-b border-line py-3">
      <p className="flex items-center gap-4">
        <span aria-hidden className="size-10 shrink-0 border-2 border-ink" style={{ background: colour?.hex ?? 'var(--line)' }} />
        <span className="min-w-0 flex-1 leading-snug">
          <strong className="text-lg">{formatAmount(batch.left, batch.unit, house)}</strong>{' '}
          {colour ? `of ${colour.name}` : 'of it'}
          <span className="block text-soft">
            {batch.mix}
            {over ? '' : ' · coats ahead take from it'}
          </span>
        </span>
        <button
          type="button"
          className="press shrink-0"
          aria-expanded={open}
          aria-label={`What becomes of it: ${batch.mix}`}
          {...guard(() => {
            stir()
            setOpen(!open)
          })}
        >
          Put it by
        </button>
      </p>
      {open && <RestForm pieceId={pieceId} rest={{ batch, colour, over }} done={() => setOpen(false)} />}
    </li>
  )
}

function RestForm({ pieceId, rest: { batch, colour }, done }: { pieceId: PieceId; rest: Rest; done: () => void }) {
  const { putBy } = useActions()
  const house = useHouse()
  const router = useRouter()
  const [defaults] = useState<RestText>(() => ({
    entryId: uuidv7(),
    pieceId,
    at: new Date().toISOString(),
    batchId: batch.id,
    family: batch.family,
    keep: true,
    productId: uuidv7(),
    lotId: uuidv7(),
    name: colour?.name ?? batch.mix.slice(0, 60),
    colourHex: colour?.hex ?? '',
    amount: amountText(batch.left, batch.unit, house),
  }))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<RestText>(restInput(house), defaults, putBy, () => {
    done()
    router.refresh()
  })
  const { register, setValue } = form
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="mt-3 grid grid-cols-2 items-end gap-3">
      <TextField label="Its name" {...register('name')} trouble={troubleOf('name')} />
      <TextField
        label={`How much, ${smallUnit(batch.unit, house.units).words}`}
        {...register('amount')}
        trouble={troubleOf('amount')}
      />
      {batch.goodUntil === null && (
        <button type="submit" disabled={pending} className="press press-now" onClick={() => setValue('keep', true)}>
          Keep it as a tin
        </button>
      )}
      <button type="submit" disabled={pending} className="press" onClick={() => setValue('keep', false)}>
        It was thrown away
      </button>
      <div className="col-span-2 empty:hidden">
        <Trouble>{issue}</Trouble>
      </div>
    </form>
  )
}
