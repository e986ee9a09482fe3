'use client'
/** A note or a cost, added to a piece without leaving its page. */
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { costInput, type CostText, noteInput, type NoteText } from '@/core/input/entry'
import { costKinds } from '@/core/log/entry'
import type { PieceId } from '@/core/measure/named'
import { AreaField, ChoiceField, pairs, TextField, Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useMay } from '@/ui/form/may'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { useMoment } from '@/ui/form/useMoment'
import { useOutbox } from '@/ui/outbox/useOutbox'

type Kind = 'note' | 'cost'

export function AddToLog({ pieceId }: { pieceId: PieceId }) {
  const may = useMay()
  const [open, setOpen] = useState<Kind | null>(null)
  const close = () => setOpen(null)
  return (
    <div>
      <div className="flex flex-wrap gap-3">
        <button
          type="button"
          className="press"
          data-key="n"
          aria-expanded={open === 'note'}
          onClick={() => setOpen(open === 'note' ? null : 'note')}
        >
          Write a note
        </button>
        {may('entry of money') && (
          <button
            type="button"
            className="press"
            aria-expanded={open === 'cost'}
            onClick={() => setOpen(open === 'cost' ? null : 'cost')}
          >
            Add a cost
          </button>
        )}
      </div>
      {open === 'note' && <NoteForm pieceId={pieceId} done={close} />}
      {open === 'cost' && <CostForm pieceId={pieceId} done={close} />}
    </div>
  )
}

function NoteForm({ pieceId, done }: { pieceId: PieceId; done: () => void }) {
  const { send } = useOutbox()
  const [first] = useState(() => ({ entryId: uuidv7(), at: new Date().toISOString() }))
  const moment = useMoment(first.entryId)
  const { form, submit, pending, issue, troubleOf } = useEntryForm<NoteText>(
    noteInput,
    { ...first, pieceId, note: '' },
    // one that was kept half written is written when it is finished
    (typed) => send('addNote', { ...typed, at: moment() }, `Note: ${typed.note.slice(0, 60)}`),
    done,
    `draft:note:${pieceId}`,
  )
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="mt-3 max-w-2xl space-y-3">
      <AreaField label="Note" {...form.register('note')} trouble={troubleOf('note')} />
      <Trouble>{issue}</Trouble>
      <button type="submit" disabled={pending} className="press press-now">
        Write it down
      </button>
    </form>
  )
}

function CostForm({ pieceId, done }: { pieceId: PieceId; done: () => void }) {
  const { send } = useOutbox()
  const house = useHouse()
  const [first] = useState(() => ({ entryId: uuidv7(), at: new Date().toISOString() }))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<CostText>(
    costInput(house),
    { ...first, pieceId, costKind: 'consumables', money: '', note: '' },
    (typed) => send('addCost', typed, `Cost: ${typed.money} ${house.currency}, ${costKinds[typed.costKind]}`),
    done,
  )
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="mt-3 grid max-w-2xl grid-cols-2 items-end gap-3">
      <ChoiceField label="What for" {...form.register('costKind')} options={pairs(costKinds)} />
      <TextField
        label={`Amount, ${house.currency}`}
        inputMode="decimal"
        {...form.register('money')}
        trouble={troubleOf('money')}
      />
      <TextField label="Note" {...form.register('note')} trouble={troubleOf('note')} className="col-span-2" />
      <div className="col-span-2 empty:hidden">
        <Trouble>{issue}</Trouble>
      </div>
      <button type="submit" disabled={pending} className="press press-now">
        Write it down
      </button>
    </form>
  )
}
