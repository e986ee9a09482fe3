'use client'
/** What went on: filled in from the plan, so that the usual coat is one tap more. Opens when a coat ends. */
import { Dialog } from 'radix-ui'
import { createContext, useCallback, useContext, useState, type ReactNode } from 'react'
import { useRouter } from 'next/navigation'
import { v7 as uuidv7 } from 'uuid'
import { coatInput, type CoatText } from '../../core/input/entry'
import { useActions } from '../form/actions'
import { AreaField, ChoiceField, TextField, Trouble } from '../form/Field'
import { useEntryForm } from '../form/useEntryForm'
import type { StepCard } from './stepCard'

type Open = (card: StepCard, endedAt: string) => void
const CoatSheetContext = createContext<Open>(() => undefined)
/** Opens the sheet for a coat that ended at a moment. */
export const useCoatSheet = (): Open => useContext(CoatSheetContext)

export function CoatSheetProvider({ children }: { children: ReactNode }) {
  const [open, setOpen] = useState<{ card: StepCard; endedAt: string } | null>(null)
  const show = useCallback<Open>((card, endedAt) => setOpen(card.coat ? { card, endedAt } : null), [])
  return (
    <CoatSheetContext value={show}>
      {children}
      <Dialog.Root open={open !== null} onOpenChange={(next) => next || setOpen(null)}>
        <Dialog.Portal>
          <Dialog.Overlay className="fixed inset-0 z-30 bg-black/50" />
          <Dialog.Content className="sheet fixed inset-x-0 bottom-0 z-40 max-h-[92dvh] overflow-y-auto p-5 sm:inset-x-auto sm:bottom-auto sm:left-1/2 sm:top-1/2 sm:w-[36rem] sm:-translate-x-1/2 sm:-translate-y-1/2 sm:p-7">
            {open && <CoatForm key={open.card.stepId} {...open} done={() => setOpen(null)} />}
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
    </CoatSheetContext>
  )
}

const chips = ['Covered well', 'Needs one more', 'Ran a little', 'Patchy, drying light'] as const

function CoatForm({ card, endedAt, done }: { card: StepCard; endedAt: string; done: () => void }) {
  const { logCoat } = useActions()
  const router = useRouter()
  const plan = card.coat
  const [entryId] = useState(() => uuidv7())
  const { form, submit, pending, issue, troubleOf } = useEntryForm<CoatText>(
    coatInput,
    {
      entryId,
      pieceId: card.pieceId,
      partId: card.partId,
      stepId: card.stepId,
      at: endedAt,
      productId: plan?.tinId ?? '',
      family: plan?.family ?? 'clay',
      mix: plan?.mix ?? '',
      amount: String(plan?.amount ?? ''),
      applicator: plan?.applicator ?? '',
      film: plan?.film ?? 'normal',
      note: '',
    },
    logCoat,
    () => {
      done()
      router.refresh()
    },
  )
  if (!plan) return null
  const { register } = form
  return (
    <form onSubmit={(event) => void submit(event)} className="grid grid-cols-2 gap-x-4 gap-y-3" noValidate>
      <div className="col-span-2">
        <p className="eyebrow">
          {card.pieceName} · {card.partName}
        </p>
        <Dialog.Title className="title text-3xl">{card.title}</Dialog.Title>
        <Dialog.Description className="mt-1 text-soft">
          What went on. It is filled in from the plan: change what was different.
        </Dialog.Description>
      </div>
      <ChoiceField
        label="Product"
        className="col-span-2"
        {...register('productId')}
        trouble={troubleOf('productId')}
        options={[...plan.tins.map(({ id, name }) => [id, name] as const), ['', 'Not from the shelf, no price']]}
      />
      <TextField label={`Amount, ${plan.unit}`} inputMode="decimal" {...register('amount')} trouble={troubleOf('amount')} />
      <ChoiceField
        label="Film"
        {...register('film')}
        options={[
          ['thin', 'thin'],
          ['normal', 'normal'],
          ['heavy', 'heavy'],
        ]}
      />
      <TextField label="Mix" placeholder="as it comes" {...register('mix')} trouble={troubleOf('mix')} />
      <TextField label="Applicator" {...register('applicator')} trouble={troubleOf('applicator')} />
      <div className="col-span-2">
        <AreaField label="Note" rows={2} {...register('note')} trouble={troubleOf('note')} />
        <div className="mt-2 flex flex-wrap gap-2">
          {chips.map((words) => (
            <button
              key={words}
              type="button"
              className="press px-3 text-sm"
              onClick={() => form.setValue('note', [form.getValues('note'), words].filter(Boolean).join('. '))}
            >
              {words}
            </button>
          ))}
        </div>
      </div>
      <div className="col-span-2">
        <Trouble>{issue}</Trouble>
      </div>
      <Dialog.Close className="press">Later</Dialog.Close>
      <button type="submit" disabled={pending} className="press press-now text-lg">
        {pending ? 'Writing…' : 'Write it down'}
      </button>
    </form>
  )
}
