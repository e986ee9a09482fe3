'use client'
/** What came in and went back, and another one written down. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { paymentInput, type PaymentText, payWays } from '@/core/input/quote'
import { formatMoney, moneyText } from '@/core/measure/money'
import { type PaymentKind, paymentKinds } from '@/core/price/offer'
import { useActions } from '@/ui/form/actions'
import { ChoiceField, pairs, TextField, Trouble } from '@/ui/form/Field'
import { FormFoot } from '@/ui/form/FormFoot'
import { useHouse } from '@/ui/form/house'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { useWrite } from '@/ui/form/useWrite'

export interface PaidLine {
  id: string
  when: string
  what: PaymentKind
  amount: number
  way: string
  isService: boolean
  isStruck: boolean
  note: string | null
}
interface Props {
  pieceId: string
  lines: readonly PaidLine[]
  due: { what: PaymentKind; amount: number } | null
  /** what the service would not give back */
  refused: readonly { id: string; when: string; amount: number }[]
  canRefund: boolean
}
export function Payments({ pieceId, lines, due, refused, canRefund }: Props) {
  const house = useHouse()
  return (
    <>
      {lines.length === 0 && <p className="mt-2 text-soft">Nothing was paid yet.</p>}
      <ul className="mt-2">
        {lines.map((line) => (
          <li
            key={line.id}
            data-paid={line.what}
            className={`flex flex-wrap items-center justify-between gap-x-6 gap-y-1 border-b border-line py-2 ${line.isStruck ? 'text-soft line-through' : ''}`}
          >
            <span>
              <strong>{paymentKinds[line.what]}</strong> {line.way}, {line.when}
              {line.note && `: ${line.note}`}
            </span>
            <span className="flex items-center gap-4">
              <span className="figure text-2xl">
                {line.what === 'refund' && '−'}
                {formatMoney(line.amount, house)}
              </span>
              {!line.isStruck && !line.isService && <Strike pieceId={pieceId} paymentId={line.id} />}
              {line.isService && line.what !== 'refund' && canRefund && (
                <GiveBack pieceId={pieceId} paymentId={line.id} amount={line.amount} />
              )}
            </span>
          </li>
        ))}
      </ul>
      {refused.map(({ id, when, amount }) => (
        <p key={id} role="status" className="mt-3 border-l-4 border-late pl-3">
          <strong>The service would not give {formatMoney(amount, house)} back</strong>, {when}. Ask it again, or give it another
          way and write that down.
        </p>
      ))}
      <PaymentForm key={`${due?.what}-${due?.amount}`} {...{ pieceId, due }} />
    </>
  )
}

function PaymentForm({ pieceId, due }: Pick<Props, 'pieceId' | 'due'>) {
  const { keepPayment } = useActions()
  const house = useHouse()
  const router = useRouter()
  const [kept, setKept] = useState(false)
  const [defaults] = useState<PaymentText>(() => ({
    ...{ id: uuidv7(), pieceId, at: new Date().toISOString(), what: due?.what ?? 'part', way: 'transfer', note: '' },
    amount: due ? moneyText(due.amount, house) : '',
  }))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<PaymentText>(
    paymentInput(house),
    defaults,
    keepPayment,
    (_typed, made) => {
      made.reset({ ...defaults, id: uuidv7(), at: new Date().toISOString(), amount: '' })
      setKept(true)
      router.refresh()
    },
  )
  const { register } = form
  return (
    <form
      onSubmit={(event) => void submit(event)}
      onChange={() => setKept(false)}
      noValidate
      className="mt-4 grid grid-cols-2 items-end gap-3"
    >
      <ChoiceField label="What came" {...register('what')} options={pairs(paymentKinds)} />
      <ChoiceField label="How" {...register('way')} options={pairs(payWays)} />
      <TextField label={house.currency} inputMode="decimal" {...register('amount')} trouble={troubleOf('amount')} />
      <TextField label="A note" {...register('note')} trouble={troubleOf('note')} />
      <FormFoot {...{ issue, pending }} className="col-span-2" words="Write it down" kept={kept && 'Written down.'} />
    </form>
  )
}

function Strike({ pieceId, paymentId }: { pieceId: string; paymentId: string }) {
  const { strikePayment } = useActions()
  const router = useRouter()
  const write = useWrite(strikePayment)
  const [id] = useState(() => uuidv7())
  const strike = async () => {
    if (await write.send({ id, pieceId, paymentId, at: new Date().toISOString() })) router.refresh()
  }
  return (
    <>
      <button type="button" className="press min-h-12" disabled={write.pending} onClick={() => void strike()}>
        Strike it
      </button>
      <Trouble>{write.issue}</Trouble>
    </>
  )
}
function GiveBack({ pieceId, paymentId, amount }: { pieceId: string; paymentId: string; amount: number }) {
  const { refund } = useActions()
  const house = useHouse()
  const router = useRouter()
  const write = useWrite(refund)
  const [text, setText] = useState(() => moneyText(amount, house))
  const [id, setId] = useState(() => uuidv7())
  const [asked, setAsked] = useState(false)
  const give = async () => {
    if (!(await write.send({ id, pieceId, paymentId, amount: text }))) return
    setAsked(true)
    setId(uuidv7())
    router.refresh()
  }
  return (
    <details>
      <summary className="tap underline">Give back</summary>
      <div className="flex items-end gap-3">
        <TextField
          label={house.currency}
          inputMode="decimal"
          value={text}
          onChange={(event) => setText(event.target.value)}
          trouble={write.fields.amount}
        />
        <button type="button" className="press min-h-12" disabled={write.pending} onClick={() => void give()}>
          Give it back
        </button>
      </div>
      <Trouble>{write.issue}</Trouble>
      <span role="status" className="font-semibold text-now">
        {asked && 'Asked of the service; it stands here when it went.'}
      </span>
    </details>
  )
}
