'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { channelInput, type ChannelText } from '@/core/input/house'
import { useActions } from '@/ui/form/actions'
import { TextField, Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useEntryForm } from '@/ui/form/useEntryForm'

/** A place to sell, added. */
export function ChannelForm() {
  const { keepChannel } = useActions()
  const house = useHouse()
  const router = useRouter()
  const [defaults] = useState<ChannelText>(() => ({ id: uuidv7(), name: '', feeShare: '0', feeFixed: '', rent: '' }))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<ChannelText>(
    channelInput(house),
    defaults,
    keepChannel,
    (_, form) => {
      form.reset({ ...defaults, id: uuidv7() })
      router.refresh()
    },
  )
  const { register } = form
  return (
    <form
      onSubmit={(event) => void submit(event)}
      noValidate
      className="mt-4 grid grid-cols-2 items-end gap-3 sm:grid-cols-[2fr_1fr_1fr_1fr_auto]"
    >
      <TextField label="Where you sell" {...register('name')} trouble={troubleOf('name')} className="col-span-2 sm:col-span-1" />
      <TextField label="Its share, %" inputMode="decimal" {...register('feeShare')} trouble={troubleOf('feeShare')} />
      <TextField
        label={`Fixed fee, ${house.currency}`}
        inputMode="decimal"
        {...register('feeFixed')}
        trouble={troubleOf('feeFixed')}
      />
      <TextField
        label={`Rent a month, ${house.currency}`}
        inputMode="decimal"
        {...register('rent')}
        trouble={troubleOf('rent')}
      />
      <button type="submit" disabled={pending} className="press press-now">
        Add it
      </button>
      <Trouble>{issue}</Trouble>
    </form>
  )
}
