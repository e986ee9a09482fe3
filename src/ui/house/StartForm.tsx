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
import { guessHouse } from './guessHouse'
import type { HouseChoices } from './houseChoices'
import { studioText, writingChoices } from './studioText'

const unasked = { overheadRate: '0', wishKind: 'earnedRate', wishValue: '0', priceStep: '5' } as const

export function StartForm({ studio, zones, currencies }: HouseChoices & { studio: Studio }) {
  const { changeStudio } = useActions()
  const router = useRouter()
  // what is not asked here begins with figures that are some in every currency; the house's own page asks for it
  const [defaults] = useState<StudioText>(() => ({ ...studioText(studio), ...unasked }))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<StudioText>(
    studioInput,
    defaults,
    // an hour earns what it costs
    (typed) => changeStudio({ ...typed, wishValue: typed.hourRate }),
    () => router.refresh(),
  )
  useEffect(() => {
    const guess = guessHouse(navigator.language, Intl.DateTimeFormat().resolvedOptions().timeZone)
    for (const [name, value] of Object.entries(guess) as [keyof StudioText, string][])
      // a device may know a zone by a name that the server does not; what was chosen before the page came alive is no guess's to change
      if ((name !== 'zone' || zones.includes(value)) && form.getValues(name) === defaults[name]) form.setValue(name, value)
  }, [form, zones, defaults])
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
        <Trouble>{issue}</Trouble>
      </div>
    </form>
  )
}
