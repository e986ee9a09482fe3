'use client'
/** How a new studio reckons: five questions, answered as far as this device knows, the rest as the house leaves it. */
import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import type { Studio } from '@/core/house/studio'
import { studioInput, type StudioText } from '@/core/input/house'
import { useActions } from '@/ui/form/actions'
import { ChoiceField, pairs, TextField, Trouble } from '@/ui/form/Field'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { unitWords } from '@/words/measure'
import type { HouseChoices } from './houseChoices'
import { guessHouse, studioText, writingChoices } from './studioText'

export function StartForm({ studio, zones, currencies }: HouseChoices & { studio: Studio }) {
  const { changeStudio } = useActions()
  const router = useRouter()
  const [defaults] = useState(() => studioText(studio))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<StudioText>(
    studioInput,
    defaults,
    // an hour earns at least what it costs; what is not asked here is asked on the house's own page
    (typed) => changeStudio({ ...typed, wishKind: 'earnedRate', wishValue: typed.hourRate, overheadRate: '0' }),
    () => router.refresh(),
  )
  useEffect(() => {
    const guess = guessHouse(navigator.language, Intl.DateTimeFormat().resolvedOptions().timeZone)
    for (const [name, value] of Object.entries(guess) as [keyof StudioText, string][])
      if (!form.getFieldState(name).isDirty) form.setValue(name, value)
  }, [form])
  const { register, watch } = form
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="mt-4 grid max-w-3xl grid-cols-2 items-end gap-4">
      <ChoiceField
        label="Currency"
        {...register('currency')}
        trouble={troubleOf('currency')}
        options={currencies}
        className="col-span-2 sm:col-span-1"
      />
      <TextField
        label={`An hour of your work, ${watch('currency')}`}
        className="col-span-2 sm:col-span-1"
        inputMode="decimal"
        {...register('hourRate')}
        trouble={troubleOf('hourRate')}
      />
      <ChoiceField label="Measures" {...register('units')} options={pairs(unitWords)} className="col-span-2 sm:col-span-1" />
      <ChoiceField
        label="Dates and figures written"
        {...register('locale')}
        options={writingChoices}
        className="col-span-2 sm:col-span-1"
      />
      <ChoiceField
        label="Time zone"
        {...register('zone')}
        trouble={troubleOf('zone')}
        options={zones.map((zone) => [zone, zone.replaceAll('_', ' ')] as const)}
        className="col-span-2 sm:col-span-1"
      />
      <div className="col-span-2 sm:col-span-1">
        <button type="submit" disabled={pending} className="press press-now min-h-14 w-full px-8 text-lg">
          That is so
        </button>
      </div>
      <div className="col-span-2 empty:hidden">
        <Trouble>{issue ?? troubleOf('priceStep') ?? troubleOf('haggleShare')}</Trouble>
      </div>
    </form>
  )
}
