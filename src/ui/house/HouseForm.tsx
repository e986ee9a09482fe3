'use client'
/** The house: what it reckons in, what it wants an hour to be worth, how it is taxed. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Studio } from '@/core/house/studio'
import { studioInput, type StudioText } from '@/core/input/house'
import { useActions } from '@/ui/form/actions'
import { ChoiceField, pairs, TextField } from '@/ui/form/Field'
import { FormFoot } from '@/ui/form/FormFoot'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { unitWords } from '@/words/measure'
import { DaysField } from './DaysField'
import type { HouseChoices } from './houseChoices'
import { studioText, writingChoices } from './studioText'

const wishWords = {
  earnedRate: 'a rate earned per hour',
  margin: 'a share of the price, in %',
  profit: 'a profit on each piece',
} as const

export function HouseForm({ studio, zones, currencies }: HouseChoices & { studio: Studio }) {
  const { changeStudio } = useActions()
  const router = useRouter()
  const [kept, setKept] = useState(false)
  const [defaults] = useState(() => studioText(studio))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<StudioText>(studioInput, defaults, changeStudio, () => {
    setKept(true)
    router.refresh()
  })
  const { register, watch } = form
  const currency = watch('currency')
  return (
    <form
      onSubmit={(event) => void submit(event)}
      onChange={() => setKept(false)}
      noValidate
      className="mt-5 grid grid-cols-2 gap-4 sm:grid-cols-4"
    >
      <TextField label="The studio’s name" {...register('name')} trouble={troubleOf('name')} className="col-span-2" />
      <ChoiceField
        label="Currency"
        {...register('currency')}
        trouble={troubleOf('currency')}
        hint="Past amounts keep their figures."
        options={currencies}
      />
      <ChoiceField label="Units" {...register('units')} options={pairs(unitWords)} />
      <ChoiceField label="Dates and figures written" {...register('locale')} options={writingChoices} className="col-span-2" />
      <ChoiceField
        label="Time zone"
        {...register('zone')}
        trouble={troubleOf('zone')}
        options={zones.map((zone) => [zone, zone.replaceAll('_', ' ')] as const)}
        className="col-span-2"
      />
      <TextField
        label={`An hour of work, ${currency}`}
        inputMode="decimal"
        {...register('hourRate')}
        trouble={troubleOf('hourRate')}
      />
      <TextField
        label={`Overhead an hour, ${currency}`}
        inputMode="decimal"
        hint="Rent, booth, power."
        {...register('overheadRate')}
        trouble={troubleOf('overheadRate')}
      />
      <ChoiceField label="The wish" {...register('wishKind')} options={Object.entries(wishWords)} className="col-span-2" />
      <TextField label="How much" inputMode="decimal" {...register('wishValue')} trouble={troubleOf('wishValue')} />
      <TextField label="Room to haggle, %" inputMode="decimal" {...register('haggleShare')} trouble={troubleOf('haggleShare')} />
      <ChoiceField
        label="Tax"
        {...register('taxMode')}
        options={[
          ['none', 'none'],
          ['inclusive', 'in the price shown'],
          ['margin', 'on the second-hand margin'],
        ]}
        className="col-span-2"
      />
      <TextField label="Tax, %" inputMode="decimal" {...register('taxShare')} trouble={troubleOf('taxShare')} />
      <TextField
        label={`Ask rounds up to, ${currency}`}
        inputMode="decimal"
        {...register('priceStep')}
        trouble={troubleOf('priceStep')}
      />
      <TextField label="Work begins" type="time" {...register('worksFrom')} trouble={troubleOf('worksFrom')} />
      <TextField
        label={watch('worksTo') < watch('worksFrom') ? 'Work ends, the next morning' : 'Work ends'}
        type="time"
        {...register('worksTo')}
        trouble={troubleOf('worksTo')}
      />
      <DaysField field={register('worksDays')} trouble={troubleOf('worksDays')} />
      <FormFoot {...{ issue, pending }} words="Keep it" kept={kept && 'Kept.'} className="col-span-2 sm:col-span-4" />
    </form>
  )
}
