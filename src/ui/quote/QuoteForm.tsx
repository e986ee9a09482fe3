'use client'
/** An offer as it is written: like the letter that the client reads, its lines open to be changed. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { useFieldArray } from 'react-hook-form'
import { v7 as uuidv7 } from 'uuid'
import { quoteInput, type QuoteText } from '@/core/input/quote'
import { formatMoney, parseSignedMoney, signedMoneyText } from '@/core/measure/money'
import { isDay } from '@/core/measure/time'
import { depositOf, type QuoteKind } from '@/core/price/offer'
import { useActions } from '@/ui/form/actions'
import { AreaField, TextField } from '@/ui/form/Field'
import { FormFoot } from '@/ui/form/FormFoot'
import { useHouse } from '@/ui/form/house'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { ReadyLine } from '@/ui/week/ReadyLine'
import { QuoteOptions, type Suggested } from './QuoteOptions'

export interface Draft {
  lines: { partId: string | null; words: string; detail: string; money: number }[]
  suggested: Suggested[]
  depositPercent: number
  validUntil: string
  /** by its promise, else by its plan alone; empty where neither says */
  readyOn: string
}
interface Props {
  pieceId: string
  kind: QuoteKind
  draft: Draft
}

export function QuoteForm({ pieceId, kind, draft }: Props) {
  const { offerQuote } = useActions()
  const house = useHouse()
  const router = useRouter()
  const [kept, setKept] = useState(false)
  const [defaults] = useState(() => textOf(pieceId, kind, draft, (minor) => signedMoneyText(minor, house)))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<QuoteText>(
    quoteInput(house),
    defaults,
    offerQuote,
    (_typed, made) => {
      // the next one is another offer
      made.setValue('id', uuidv7())
      setKept(true)
      router.refresh()
    },
  )
  const { register, control, watch } = form
  const readyOn = watch('readyOn')
  const lines = useFieldArray({ control, name: 'lines', keyName: 'key' })
  const total = watch('lines').reduce((sum, { money }) => sum + (parseSignedMoney(money, house) ?? 0), 0)
  const deposit = depositOf({ depositShare: (Number(watch('deposit').replace(',', '.')) || 0) / 100 }, total)
  return (
    <form onSubmit={(event) => void submit(event)} onChange={() => setKept(false)} noValidate className="mt-4">
      <AreaField
        label={kind === 'quote' ? 'A word before it' : 'What changed, and why'}
        rows={2}
        {...register('words')}
        trouble={troubleOf('words')}
      />
      <ul className="mt-5 space-y-4 border-t-2 border-ink pt-4">
        {lines.fields.map((field, index) => (
          <li
            key={field.key}
            className="grid grid-cols-[1fr_8rem] items-end gap-3 border-b border-line pb-4 sm:grid-cols-[2fr_3fr_9rem_auto]"
          >
            <TextField
              label="For"
              {...register(`lines.${index}.words`)}
              trouble={troubleOf(`lines.${index}.words`)}
              className="col-span-2 sm:col-span-1"
            />
            <TextField
              label="Look and sheen"
              {...register(`lines.${index}.detail`)}
              trouble={troubleOf(`lines.${index}.detail`)}
              className="col-span-2 sm:col-span-1"
            />
            <TextField
              label={house.currency}
              inputMode="decimal"
              {...register(`lines.${index}.money`)}
              trouble={troubleOf(`lines.${index}.money`)}
            />
            <button type="button" className="press min-h-12" onClick={() => lines.remove(index)}>
              Strike it
            </button>
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="press mt-3 min-h-12"
        onClick={() => lines.append({ id: uuidv7(), partId: '', words: '', detail: '', money: '' })}
      >
        Another line
      </button>
      <p className="mt-4 flex flex-wrap items-baseline justify-between gap-x-6">
        <strong className="text-xl">Together</strong>
        <span className="figure text-5xl text-now" data-figure="offered" aria-live="polite">
          {formatMoney(total, house)}
        </span>
      </p>
      <QuoteOptions {...{ control, register, troubleOf, watch }} setValue={form.setValue} suggested={draft.suggested} />
      <div className="mt-6 grid items-end gap-4 sm:grid-cols-2">
        <AreaField label="Not in it" rows={2} {...register('excluded')} trouble={troubleOf('excluded')} />
        <div className="grid grid-cols-2 items-end gap-4">
          <TextField
            label={`Deposit, %${deposit > 0 ? `: ${formatMoney(deposit, house)}` : ''}`}
            inputMode="decimal"
            {...register('deposit')}
            trouble={troubleOf('deposit')}
          />
          <TextField label="It stands until" type="date" {...register('validUntil')} trouble={troubleOf('validUntil')} />
        </div>
      </div>
      <div className="mt-6 grid items-start gap-x-8 gap-y-3 border-t border-line pt-4 sm:grid-cols-[12rem_1fr]">
        <TextField label="Ready" type="date" {...register('readyOn')} trouble={troubleOf('readyOn')} />
        <ReadyLine
          pieceId={pieceId}
          // what it pushes aside when they are told that day
          supposed={() => Promise.resolve(isDay(readyOn) ? { promised: { [pieceId]: readyOn } } : {})}
          promise={(to) => form.setValue('readyOn', to, { shouldDirty: true, shouldValidate: true })}
          promises="Tell them"
        />
      </div>
      <FormFoot
        {...{ issue, pending }}
        className="mt-6"
        words={kind === 'quote' ? 'Offer it' : 'Offer the change'}
        kept={kept && 'It stands on the client’s page.'}
      />
    </form>
  )
}

const textOf = (pieceId: string, kind: QuoteKind, draft: Draft, text: (minor: number) => string): QuoteText => ({
  ...{ id: uuidv7(), pieceId, kind, words: '', excluded: '', options: [] },
  lines: draft.lines.map(({ partId, words, detail, money }) => ({
    ...{ id: uuidv7(), partId: partId ?? '', words, detail, money: text(money) },
  })),
  deposit: String(draft.depositPercent),
  validUntil: draft.validUntil,
  readyOn: draft.readyOn,
})
