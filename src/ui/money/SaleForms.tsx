'use client'
/** Listing a piece, and letting it go: sold, handed over, kept, given away or scrapped. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { SalesChannel } from '@/core/house/studio'
import type { House } from '@/core/input/fields'
import { endingInput, type EndingText, listingInput, type ListingText } from '@/core/input/piece'
import { outcomes } from '@/core/log/entry'
import { moneyText, parseMoney, roundMoney } from '@/core/measure/money'
import type { ChannelId, PieceId } from '@/core/measure/named'
import { dayOf } from '@/core/measure/time'
import type { Concern, ConcernCode } from '@/core/piece/leaving'
import { useActions } from '@/ui/form/actions'
import { ChoiceField, pairs, TextField, Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { useNow } from '@/ui/time/now'
import { concernWords } from '@/words/concerns'

interface Props {
  pieceId: PieceId
  channels: readonly SalesChannel[]
  ask: number | null
  channelId: ChannelId
  /** what is not done about it */
  concerns: readonly Concern[]
}
const channelPairs = (channels: readonly SalesChannel[]) => channels.map(({ id, name }) => [id, name] as const)

export function ListingForm({ pieceId, channels, ask, channelId, concerns }: Props) {
  const { listForSale } = useActions()
  const house = useHouse()
  const nowMs = useNow()
  const router = useRouter()
  const [defaults] = useState<ListingText>(() => ({
    entryId: uuidv7(),
    pieceId,
    channelId,
    price: ask === null ? '' : moneyText(ask, house),
    on: dayOf(new Date(nowMs).toISOString(), house.zone),
    note: '',
    despite: [],
  }))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<ListingText>(listingInput(house), defaults, listForSale, () =>
    router.refresh(),
  )
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="grid grid-cols-2 items-end gap-3">
      <ChoiceField
        label="Where it is listed"
        {...form.register('channelId')}
        trouble={troubleOf('channelId')}
        options={channelPairs(channels)}
        className="col-span-2"
      />
      <TextField
        label={`Asking, ${house.currency}`}
        inputMode="decimal"
        {...form.register('price')}
        trouble={troubleOf('price')}
      />
      <TextField label="Listed on" type="date" {...form.register('on')} trouble={troubleOf('on')} />
      <Despite concerns={concerns} know={(codes) => form.setValue('despite', codes)} words="It is listed all the same" />
      <div className="col-span-2 empty:hidden">
        <Trouble>{issue}</Trouble>
      </div>
      <button type="submit" disabled={pending} className="press press-now col-span-2 sm:col-span-1">
        List it
      </button>
    </form>
  )
}

export function EndingForm({ pieceId, channels, ask, channelId, concerns }: Props) {
  const { endPiece } = useActions()
  const house = useHouse()
  const nowMs = useNow()
  const router = useRouter()
  const [defaults] = useState<EndingText>(() => ({
    entryId: uuidv7(),
    pieceId,
    outcome: 'sold',
    channelId,
    price: ask === null ? '' : moneyText(ask, house),
    fees: feesText(ask, channels, channelId, house),
    on: dayOf(new Date(nowMs).toISOString(), house.zone),
    note: '',
    despite: [],
  }))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<EndingText>(endingInput(house), defaults, endPiece, () =>
    router.refresh(),
  )
  const [outcome, setOutcome] = useState<EndingText['outcome']>('sold')
  const paid = outcome === 'sold' || outcome === 'handed-over'
  // fees follow price and channel until somebody types them
  const follow = () => {
    if (form.getFieldState('fees').isDirty) return
    const { price, channelId: chosen } = form.getValues()
    form.resetField('fees', { defaultValue: feesText(parseMoney(price, house), channels, chosen, house) })
  }
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="grid grid-cols-2 items-end gap-3">
      <ChoiceField
        label="How it left"
        {...form.register('outcome', {
          onChange: (event: { target: { value: EndingText['outcome'] } }) => setOutcome(event.target.value),
        })}
        options={pairs(outcomes)}
      />
      <TextField label="On" type="date" {...form.register('on')} trouble={troubleOf('on')} />
      {paid && (
        <>
          <ChoiceField
            label="Where it was sold"
            {...form.register('channelId', { onChange: follow })}
            trouble={troubleOf('channelId')}
            options={channelPairs(channels)}
            className="col-span-2"
          />
          <TextField
            label={`Price paid, ${house.currency}`}
            inputMode="decimal"
            {...form.register('price', { onChange: follow })}
            trouble={troubleOf('price')}
          />
          <TextField
            label={`Fees taken, ${house.currency}`}
            inputMode="decimal"
            {...form.register('fees')}
            trouble={troubleOf('fees')}
          />
        </>
      )}
      <TextField label="Note" {...form.register('note')} trouble={troubleOf('note')} className="col-span-2" />
      {outcome !== 'scrapped' && (
        <Despite concerns={concerns} know={(codes) => form.setValue('despite', codes)} words="It leaves all the same" />
      )}
      <div className="col-span-2 empty:hidden">
        <Trouble>{issue}</Trouble>
      </div>
      <button type="submit" disabled={pending} className="press press-now col-span-2 sm:col-span-1">
        It has left
      </button>
    </form>
  )
}

function feesText(price: number | null, channels: readonly SalesChannel[], channelId: ChannelId, house: House): string {
  const channel = channels.find(({ id }) => id === channelId)
  return price === null || !channel ? '' : moneyText(roundMoney(price * channel.feeShare) + channel.feeFixed, house)
}

/** What is not done, by name, and the word that it goes as it is. */
function Despite({
  concerns,
  know,
  words,
}: {
  concerns: readonly Concern[]
  know: (codes: ConcernCode[]) => void
  words: string
}) {
  if (concerns.length === 0) return null
  return (
    <div className="col-span-2 border-l-4 border-late pl-3">
      <ul>
        {concerns.map((concern) => (
          <li key={`${concern.part} ${concern.code}`} className="font-semibold">
            {concernWords(concern)}
          </li>
        ))}
      </ul>
      <label className="flex min-h-12 items-center gap-3">
        <input
          type="checkbox"
          className="size-6 accent-now"
          onChange={(event) => know(event.target.checked ? concerns.map(({ code }) => code) : [])}
        />
        {words}
      </label>
    </div>
  )
}
