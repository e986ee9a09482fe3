'use client'
/** What went on: a sentence first, as it is usual; the fields behind it for what was different. */
import { Dialog } from 'radix-ui'
import { useRef, useState } from 'react'
import { type UseFormReturn, useWatch } from 'react-hook-form'
import { v7 as uuidv7 } from 'uuid'
import type { CoatPlan } from '@/core/bench/coatPlan'
import type { StepCard } from '@/core/bench/stepCard'
import type { Reading } from '@/core/drying/windowFor'
import { coatInput, type CoatText } from '@/core/input/entry'
import { amountText, parseAmount, plainAmount, smallUnit } from '@/core/measure/amount'
import type { EntryId, Instant } from '@/core/measure/named'
import type { Measuring } from '@/core/measure/units'
import { Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { useOutbox } from '@/ui/outbox/useOutbox'
import { StepPhoto } from '@/ui/photo/AddPhotos'
import { cardName, cautionWords } from '@/words/craft'
import { coatWords } from '@/words/stock'
import { CoatFields } from './CoatFields'
import { type Judged, Question, Verdicts } from './Verdicts'

const chips = ['Covered well', 'Needs one more', 'Ran a little', 'Patchy, drying light'] as const

interface Props {
  card: StepCard
  plan: CoatPlan
  endedAt: Instant
  air: Reading | null
  judge: (verdict: Judged) => void
}

const coatText = ({ card, plan, endedAt, air }: Props, entryId: EntryId, house: Measuring): CoatText => ({
  entryId,
  pieceId: card.pieceId,
  partId: card.partId,
  stepId: card.stepId,
  at: endedAt,
  productId: plan.productId,
  lotId: plan.products.find(({ id }) => id === plan.productId)?.lots[0]?.id ?? '',
  batchId: plan.batchId,
  family: plan.family,
  mix: plan.mix,
  amount: amountText(plan.amount, plan.unit, house),
  applicator: plan.applicator,
  film: plan.film,
  sheen: plan.sheen,
  place: '',
  temperature: air ? String(air.temperature) : '',
  humidity: air ? String(air.humidity) : '',
  note: '',
})

export function CoatForm(props: Props) {
  const house = useHouse()
  const { card, plan, judge } = props
  const { send } = useOutbox()
  const verdict = useRef<Judged>('pass')
  const [entryId] = useState(() => uuidv7())
  const [differs, setDiffers] = useState(false)
  const { form, submit, pending, issue, troubleOf } = useEntryForm<CoatText>(
    coatInput(house),
    coatText(props, entryId, house),
    // it may be sent when the house measures otherwise
    (typed) => {
      const amount = plainAmount(parseAmount(typed.amount, plan.unit, house) ?? plan.amount, plan.unit)
      return send('logCoat', { ...typed, amount }, `Coat: ${cardName(card)}`)
    },
    () => judge(verdict.current),
  )
  const { errors } = form.formState
  // what can't be read is shown, not hidden
  const open = differs || Object.keys(errors).length > 0
  return (
    <form onSubmit={(event) => void submit(event)} className="mt-2" noValidate>
      <Dialog.Description className="text-soft">What went on. Usual? Then it is one tap.</Dialog.Description>
      <Sentence form={form} plan={plan} />
      {card.step.cautions.map((code) => (
        <p key={code} className="mt-2 border-l-4 border-late pl-3 font-semibold">
          {cautionWords[code]}
        </p>
      ))}
      <Question check={card.check} />
      <details className="mt-3" open={open} onToggle={(event) => setDiffers(event.currentTarget.open)}>
        <summary className="tap underline">Something was different</summary>
        <CoatFields form={form} plan={plan} troubleOf={troubleOf} />
        <div className="mt-3 flex flex-wrap gap-2" role="group" aria-label="Said quickly">
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
        <div className="mt-3">
          <StepPhoto card={card} />
        </div>
      </details>
      <div className="mt-3 empty:hidden">
        <Trouble>{issue}</Trouble>
      </div>
      {/* at the thumb, however much was different */}
      <div className="sticky -bottom-5 -mb-5 mt-2 bg-sheet pb-5 pt-2 sm:-bottom-7 sm:-mb-7 sm:pb-7">
        <Verdicts
          words={card.check ? 'All well, write it down' : 'Write it down'}
          judge={(chosen) => (verdict.current = chosen)}
          check={card.check !== null}
          pending={pending}
        />
      </div>
    </form>
  )
}

/** "80 ml", large, and beside it of what, from where, with what. */
function Sentence({ form, plan }: { form: UseFormReturn<CoatText>; plan: CoatPlan }) {
  const house = useHouse()
  const said = useWatch({ control: form.control })
  const amount = parseAmount(said.amount ?? '', plan.unit, house)
  const unit = smallUnit(plan.unit, house.units).words
  const figure = amount === null ? said.amount : amountText(amount, plan.unit, house)
  return (
    <p className="mt-2 flex flex-wrap items-baseline gap-x-4">
      <span className="figure text-5xl">
        {figure}
        <span className="ml-1 text-xl font-semibold tracking-normal text-soft">{unit}</span>
      </span>
      <span className="min-w-48 flex-1 text-lg">{coatWords(said, plan)}</span>
    </p>
  )
}
