'use client'
/** A mix made up as a batch: how much for the coats ahead, what goes into it, from which tin. Coats then name it. */
import { Dialog } from 'radix-ui'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { mixInput, type MixText } from '../../core/input/entry'
import { componentsOf } from '../../core/mix/batch'
import { ChoiceField, TextField, Trouble } from '../form/Field'
import { useEntryForm } from '../form/useEntryForm'
import { Sheet } from '../frame/Sheet'
import { useOutbox } from '../outbox/outbox'
import { lotWords } from '../words/stock'
import type { CoatPlan, StepCard } from './stepCard'

export function MixButton({ card, plan }: { card: StepCard; plan: CoatPlan }) {
  const [open, setOpen] = useState(false)
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="press" aria-label={`Mix it: ${card.title}, ${card.pieceName}, ${card.partName.toLowerCase()}`}>
        Mix it
      </Dialog.Trigger>
      <Sheet>
        <MixForm card={card} plan={plan} done={() => setOpen(false)} />
      </Sheet>
    </Dialog.Root>
  )
}

function MixForm({ card, plan, done }: { card: StepCard; plan: CoatPlan; done: () => void }) {
  const { send } = useOutbox()
  const [defaults] = useState<MixText>(() => ({
    entryId: uuidv7(),
    pieceId: card.pieceId,
    partId: card.partId,
    stepId: card.stepId,
    at: new Date().toISOString(),
    family: plan.family,
    productId: plan.tinId,
    lotId: plan.tins.find(({ id }) => id === plan.tinId)?.lots[0]?.id ?? '',
    mix: plan.mix,
    volume: String(plan.mixVolume ?? plan.amount),
  }))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<MixText>(
    mixInput,
    defaults,
    (typed) => send('mixBatch', { ...typed, at: new Date().toISOString() }, `Mixed: ${typed.mix}, ${card.pieceName}`),
    done,
  )
  const { register, watch } = form
  const components = componentsOf(watch('mix'), Number(watch('volume').replace(',', '.')))
  const tin = plan.tins.find(({ id }) => id === watch('productId'))
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="grid grid-cols-2 items-start gap-4">
      <div className="col-span-2">
        <p className="eyebrow">
          {card.pieceName} · {card.partName}
        </p>
        <Dialog.Title className="title text-3xl">Mix for {card.title}</Dialog.Title>
        <Dialog.Description className="text-soft">
          Enough for the coats ahead that are alike, as long as it keeps.
        </Dialog.Description>
      </div>
      <TextField
        label={`How much, ${plan.unit}`}
        inputMode="decimal"
        {...register('volume')}
        trouble={troubleOf('volume')}
        className="text-xl"
      />
      <TextField label="Made of" placeholder="paint : water 1 : 1" {...register('mix')} trouble={troubleOf('mix')} />
      <dl className="col-span-2 flex flex-wrap gap-x-10 gap-y-2 border-y-2 border-ink py-3" aria-live="polite">
        {components ? (
          components.map(({ name, ml }) => (
            <div key={name}>
              <dd className="figure text-5xl">
                {Math.round(ml)}
                <span className="ml-1 text-xl font-semibold tracking-normal text-soft">ml</span>
              </dd>
              <dt className="eyebrow">{name}</dt>
            </div>
          ))
        ) : (
          <div>
            <dt className="sr-only">What goes in</dt>
            <dd className="text-soft">Written like “paint : water 2 : 1”, it says how much of each.</dd>
          </div>
        )}
      </dl>
      <ChoiceField
        label="Product"
        className="col-span-2 sm:col-span-1"
        {...register('productId')}
        options={[...plan.tins.map(({ id, name }) => [id, name] as const), ['', 'Not from the shelf, no price']]}
      />
      {tin && tin.lots.length > 0 && (
        <ChoiceField
          label="From"
          className="col-span-2 sm:col-span-1"
          {...register('lotId')}
          options={[...tin.lots.map((lot) => [lot.id, lotWords(lot, tin.unit)] as const), ['', 'whichever is open']]}
        />
      )}
      <div className="col-span-2 empty:hidden">
        <Trouble>{issue}</Trouble>
      </div>
      <div className="col-span-2 flex flex-wrap justify-between gap-3">
        <Dialog.Close className="press min-h-14">Not now</Dialog.Close>
        <button type="submit" disabled={pending} className="press press-now min-h-14 flex-1 text-lg">
          Mixed, write it down
        </button>
      </div>
    </form>
  )
}
