'use client'
/** The invoice of a piece that was sold, made by one tap; credit notes that take of it back. Numbers run on without a gap. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { creditInput, type CreditText } from '@/core/input/receipt'
import { moneyText } from '@/core/measure/money'
import { type MadeReceipt, openOf } from '@/core/price/receipt'
import { useActions } from '@/ui/form/actions'
import { TextField, Trouble } from '@/ui/form/Field'
import { FormFoot } from '@/ui/form/FormFoot'
import { useHouse, useMoney } from '@/ui/form/house'
import { useMay } from '@/ui/form/may'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { useWrite } from '@/ui/form/useWrite'
import { dayWords } from '@/words/time'

export function Receipts({ pieceId, receipts }: { pieceId: string; receipts: readonly MadeReceipt[] }) {
  const house = useHouse()
  const money = useMoney()
  const may = useMay()
  const open = receipts.filter((each) => each.kind === 'invoice' && openOf(each, receipts).total > 0)
  return (
    <section aria-labelledby="receipts" className="mt-10 max-w-2xl border-t-2 border-ink pt-4">
      <h2 id="receipts" className="title text-3xl">
        Invoice
      </h2>
      <ul className="mt-1">
        {receipts.map(({ id, number, kind, paper }) => (
          <li key={id} className="flex flex-wrap items-baseline justify-between gap-x-6 border-b border-line py-2 text-lg">
            <span>
              <strong>{kind === 'invoice' ? `Invoice ${number}` : `Credit note ${number}`}</strong>{' '}
              <span className="text-soft">
                {dayWords(paper.day, house)}
                {paper.of && `, of invoice ${paper.of.number}: ${paper.of.reason}`}
              </span>{' '}
              <a className="underline" href={`/api/pieces/${pieceId}/paper?receipt=${id}`} aria-label={`PDF of number ${number}`}>
                PDF
              </a>
            </span>
            <span className="figure text-2xl">
              {kind === 'credit' && '−'}
              {money(paper.total)}
            </span>
          </li>
        ))}
      </ul>
      {may('receipt') && open.length === 0 && <MakeInvoice pieceId={pieceId} isFirst={receipts.length === 0} />}
      {may('receipt') &&
        open.map((invoice) => (
          <details key={`${invoice.id} ${receipts.length}`} className="mt-2">
            <summary className="tap underline">Take some of it back</summary>
            <CreditForm pieceId={pieceId} invoice={invoice} open={openOf(invoice, receipts).total} />
          </details>
        ))}
    </section>
  )
}

function MakeInvoice({ pieceId, isFirst }: { pieceId: string; isFirst: boolean }) {
  const { makeInvoice } = useActions()
  const { send, pending, issue } = useWrite(makeInvoice)
  const router = useRouter()
  // one number for as long as this stands: pressed twice it is one invoice
  const [id] = useState(() => uuidv7())
  return (
    <div className="mt-3 flex flex-wrap items-center gap-4">
      <button
        type="button"
        className="press press-now"
        disabled={pending}
        onClick={() => void send({ id, pieceId }).then((isStored) => isStored && router.refresh())}
      >
        {isFirst ? 'Make the invoice' : 'Make a new invoice'}
      </button>
      <span className="text-soft">Its number is the next one; it is kept to the letter and changed by nobody.</span>
      <Trouble>{issue}</Trouble>
    </div>
  )
}

function CreditForm({ pieceId, invoice, open }: { pieceId: string; invoice: MadeReceipt; open: number }) {
  const { makeCredit } = useActions()
  const house = useHouse()
  const router = useRouter()
  const [defaults] = useState<CreditText>(() => ({
    ...{ id: uuidv7(), pieceId, invoiceId: invoice.id, amount: moneyText(open, house), reason: '' },
  }))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<CreditText>(creditInput(house), defaults, makeCredit, () =>
    router.refresh(),
  )
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="grid items-end gap-3 sm:grid-cols-[10rem_1fr]">
      <TextField
        label={`How much, ${house.currency}`}
        inputMode="decimal"
        {...form.register('amount')}
        trouble={troubleOf('amount')}
      />
      <TextField label="Why" {...form.register('reason')} trouble={troubleOf('reason')} />
      <FormFoot {...{ issue, pending }} words="Make the credit note" kept={false} className="sm:col-span-2" />
    </form>
  )
}
