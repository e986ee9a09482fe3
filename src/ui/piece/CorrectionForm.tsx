'use client'
/** Putting one entry right. The old one stays in the log, struck through. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { SalesChannel } from '@/core/house/studio'
import { correctionInput, type CorrectionText } from '@/core/input/entry'
import { costKinds, type Entry } from '@/core/log/entry'
import { amountText, smallUnit } from '@/core/measure/amount'
import { moneyText } from '@/core/measure/money'
import type { ProductId } from '@/core/measure/named'
import { wallTimeOf } from '@/core/measure/time'
import { useActions } from '@/ui/form/actions'
import { AreaField, ChoiceField, pairs, TextField, Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { useMoment } from '@/ui/form/useMoment'
import { useWrite } from '@/ui/form/useWrite'

interface Props {
  entry: Entry
  channels: readonly SalesChannel[]
  tins: readonly { id: ProductId; name: string }[]
}

export function CorrectionForm({ entry, channels, tins }: Props) {
  const { correctEntry } = useActions()
  const house = useHouse()
  const router = useRouter()
  const back = () => router.push(`/pieces/${entry.pieceId}`)
  const coat = entry.kind === 'coat' ? entry.coat : null
  const paid = entry.kind === 'sold' || entry.kind === 'handed-over'
  const priced = paid || entry.kind === 'cost' || entry.kind === 'listed'
  const [defaults] = useState<CorrectionText>(() => ({
    entryId: uuidv7(),
    corrects: entry.id,
    pieceId: entry.pieceId,
    at: wallTimeOf(entry.at, house.zone),
    minutes: 'minutes' in entry && entry.minutes !== null ? String(entry.minutes) : '',
    productId: coat?.productId ?? '',
    mix: coat?.mix ?? '',
    amount: coat ? amountText(coat.amount, coat.unit, house) : '',
    unit: coat?.unit ?? '',
    applicator: coat?.applicator ?? '',
    film: coat?.film ?? '',
    costKind: entry.kind === 'cost' ? entry.costKind : '',
    money: priced ? moneyText(entry.money, house) : '',
    fees: 'fees' in entry ? moneyText(entry.fees, house) : '',
    channelId: ('channelId' in entry && entry.channelId) || '',
    note: entry.note ?? '',
  }))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<CorrectionText>(
    correctionInput(house),
    defaults,
    // a figure that nobody touched stays as it was written, not as it is shown
    (typed) => correctEntry({ ...typed, amount: typed.amount === defaults.amount ? '' : typed.amount }),
    back,
  )
  const { register } = form
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="mt-5 grid max-w-2xl grid-cols-2 items-start gap-4">
      <TextField label="When" type="datetime-local" {...register('at')} trouble={troubleOf('at')} />
      {(entry.kind === 'ended' || entry.kind === 'helped') && (
        <TextField
          label="How long it took"
          placeholder="by its clock"
          hint="35, 35 min or 1 h 20; empty keeps the clock’s."
          {...register('minutes')}
          trouble={troubleOf('minutes')}
        />
      )}
      {coat && (
        <>
          <ChoiceField
            label="Product"
            {...register('productId')}
            options={[...tins.map(({ id, name }) => [id, name] as const), ['', 'Not from the shelf, no price']]}
          />
          <TextField
            label={`Amount, ${smallUnit(coat.unit, house.units).words}`}
            {...register('amount')}
            trouble={troubleOf('amount')}
          />
          <ChoiceField
            label="Film"
            {...register('film')}
            options={[
              ['thin', 'thin'],
              ['normal', 'normal'],
              ['heavy', 'heavy'],
            ]}
          />
          <TextField label="Mix" {...register('mix')} trouble={troubleOf('mix')} />
          <TextField label="Applicator" {...register('applicator')} trouble={troubleOf('applicator')} />
        </>
      )}
      {entry.kind === 'cost' && <ChoiceField label="What for" {...register('costKind')} options={pairs(costKinds)} />}
      {(entry.kind === 'listed' || entry.kind === 'sold') && (
        <ChoiceField label="Channel" {...register('channelId')} options={channels.map(({ id, name }) => [id, name] as const)} />
      )}
      {priced && (
        <TextField label={`Amount, ${house.currency}`} inputMode="decimal" {...register('money')} trouble={troubleOf('money')} />
      )}
      {paid && (
        <TextField label={`Fees, ${house.currency}`} inputMode="decimal" {...register('fees')} trouble={troubleOf('fees')} />
      )}
      <AreaField label="Note" {...register('note')} trouble={troubleOf('note')} className="col-span-2" />
      <div className="col-span-2 empty:hidden">
        <Trouble>{issue}</Trouble>
      </div>
      <button type="submit" disabled={pending} className="press press-now min-h-14 text-lg">
        Put it right
      </button>
      <StrikeButton entry={entry} />
    </form>
  )
}

export function StrikeButton({ entry }: { entry: Pick<Entry, 'id' | 'pieceId'> }) {
  const { strikeEntry } = useActions()
  const router = useRouter()
  const strike = useWrite(strikeEntry)
  const [strikeId] = useState(() => uuidv7())
  const moment = useMoment(strikeId)
  const strikeOut = async () => {
    const { id: corrects, pieceId } = entry
    const stored = await strike.send({ entryId: strikeId, corrects, pieceId, at: moment() })
    if (stored) router.push(`/pieces/${pieceId}`)
  }
  return (
    <div>
      <button type="button" disabled={strike.pending} className="press min-h-14 w-full" onClick={() => void strikeOut()}>
        Strike it out
      </button>
      <Trouble>{strike.issue}</Trouble>
    </div>
  )
}
