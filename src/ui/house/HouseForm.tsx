'use client'
/** The house: what it reckons in, what it wants an hour to be worth, when it works; beside each what that comes to, as it is typed. */
import { useRouter } from 'next/navigation'
import { type ReactNode, useState } from 'react'
import { type UseFormReturn, useWatch } from 'react-hook-form'
import type { Studio } from '@/core/house/studio'
import { studioInput, type StudioText } from '@/core/input/house'
import { useActions } from '@/ui/form/actions'
import { ChoiceField, pairs, TextField } from '@/ui/form/Field'
import { FormFoot } from '@/ui/form/FormFoot'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { unitWords } from '@/words/measure'
import { hoursWords } from '@/words/time'
import type { HouseChoices } from './houseChoices'
import { HourShown, type HouseTyped, WrittenShown } from './HouseShown'
import { studioText, writingChoices } from './studioText'
import { hoursTyped, WorkedWeek } from './WorkedWeek'

const wishWords = {
  earnedRate: 'a rate earned per hour',
  margin: 'a share of the price, in %',
  profit: 'a profit on each piece',
} as const
const taxWords = { none: 'none', inclusive: 'in the price shown', margin: 'on the second-hand margin' } as const

type Typed = Pick<UseFormReturn<StudioText>, 'register' | 'watch'> & {
  troubleOf: (path: keyof StudioText) => string | undefined
}

export function HouseForm({ studio, zones, currencies }: HouseChoices & { studio: Studio }) {
  const { changeStudio } = useActions()
  const router = useRouter()
  const [kept, setKept] = useState(false)
  const [defaults] = useState(() => studioText(studio))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<StudioText>(studioInput, defaults, changeStudio, () => {
    setKept(true)
    router.refresh()
  })
  const house = useAsTyped(form, defaults)
  const hours = hoursTyped(...form.watch(['worksFrom', 'worksTo', 'worksDays']), studio.hours)
  const typed = { register: form.register, watch: form.watch, troubleOf }
  return (
    <form onSubmit={(event) => void submit(event)} onChange={() => setKept(false)} noValidate className="mt-6 space-y-10">
      <Choices title="How it writes" shown={house && <WrittenShown house={house} />}>
        <Written {...typed} {...{ zones, currencies }} />
      </Choices>
      <Choices title="What an hour is worth" shown={house && <HourShown house={house} pricing={studio.pricing} />}>
        <Worth {...typed} />
      </Choices>
      <Choices
        title="When hands are on"
        shown={<WorkedWeek field={form.register('worksDays')} trouble={troubleOf('worksDays')} hours={hours} />}
      >
        <TextField label="Work begins" type="time" {...form.register('worksFrom')} trouble={troubleOf('worksFrom')} />
        <TextField
          label={hours.to > 1440 ? 'Work ends, the next morning' : 'Work ends'}
          type="time"
          {...form.register('worksTo')}
          trouble={troubleOf('worksTo')}
        />
        <p className="col-span-2">
          <span className="figure text-5xl">{hoursWords(((hours.to - hours.from) * hours.days.length) / 60, studio)}</span>{' '}
          <span className="ml-1 text-lg">a week</span>
        </p>
      </Choices>
      <FormFoot {...{ issue, pending }} words="Keep it" kept={kept && 'Kept.'} />
    </form>
  )
}

/** The house as it is typed; while something can't be read, as it was before that. Null as long as nothing could be. */
function useAsTyped({ control }: UseFormReturn<StudioText>, defaults: StudioText): HouseTyped | null {
  const values = useWatch({ control, defaultValue: defaults })
  const [read, setRead] = useState<{ text: string; house: HouseTyped | null }>({ text: '', house: null })
  const text = JSON.stringify(values)
  if (text === read.text) return read.house
  const { data = read.house } = studioInput.safeParse(values)
  setRead({ text, house: data })
  return data
}

function Choices({ title, shown, children }: { title: string; shown: ReactNode; children: ReactNode }) {
  return (
    <fieldset className="min-w-0">
      <legend className="title float-left mb-4 w-full border-t-2 border-ink pt-4 text-3xl">{title}</legend>
      <div className="clear-both grid gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)]">
        <div className="grid grid-cols-2 content-start gap-4">{children}</div>
        {shown}
      </div>
    </fieldset>
  )
}

function Written({ register, troubleOf, zones, currencies }: Typed & HouseChoices) {
  return (
    <>
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
    </>
  )
}

function Worth({ register, watch, troubleOf }: Typed) {
  const currency = watch('currency')
  const figure = (label: string, name: keyof StudioText, hint?: string) => (
    <TextField {...{ label, hint }} inputMode="decimal" {...register(name)} trouble={troubleOf(name)} />
  )
  return (
    <>
      {figure(`An hour of work, ${currency}`, 'hourRate')}
      {figure(`Overhead an hour, ${currency}`, 'overheadRate', 'Rent, booth, power.')}
      <ChoiceField
        label="The wish"
        {...register('wishKind')}
        options={Object.entries(wishWords)}
        className="col-span-2 sm:col-span-1"
      />
      {figure('How much', 'wishValue')}
      {figure('Room to haggle, %', 'haggleShare')}
      {figure(`Ask rounds up to, ${currency}`, 'priceStep')}
      <ChoiceField label="Tax" {...register('taxMode')} options={Object.entries(taxWords)} />
      {figure('Tax, %', 'taxShare')}
    </>
  )
}
