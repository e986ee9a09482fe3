'use client'
/** How prices are made: the mark-up, overhead's rule, the ladder, and the rate card line by line. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { useFieldArray } from 'react-hook-form'
import type { House } from '@/core/input/fields'
import { pricingInput, type PricingText } from '@/core/input/pricing'
import { areaText } from '@/core/measure/length'
import { moneyText } from '@/core/measure/money'
import { numberText } from '@/core/measure/number'
import { articles } from '@/core/piece/articles'
import { overheadRules, type Pricing } from '@/core/price/pricing'
import { useActions } from '@/ui/form/actions'
import { AreaField, ChoiceField, pairs, TextField } from '@/ui/form/Field'
import { FormFoot } from '@/ui/form/FormFoot'
import { useHouse } from '@/ui/form/house'
import { useEntryForm } from '@/ui/form/useEntryForm'

export function PricingForm({ pricing }: { pricing: Pricing }) {
  const { keepPricing } = useActions()
  const house = useHouse()
  const router = useRouter()
  const [kept, setKept] = useState(false)
  const [defaults] = useState(() => pricingText(pricing, house))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<PricingText>(
    pricingInput(house),
    defaults,
    keepPricing,
    () => {
      setKept(true)
      router.refresh()
    },
  )
  const { register, control, watch } = form
  const rates = useFieldArray({ control, name: 'rates', keyName: 'key' })
  const rule = watch('overheadPer')
  const area = house.units === 'metric' ? 'm²' : 'sq ft'
  return (
    <form onSubmit={(event) => void submit(event)} onChange={() => setKept(false)} noValidate className="mt-6 space-y-8">
      <fieldset className="grid max-w-4xl grid-cols-2 items-end gap-4 sm:grid-cols-4">
        <legend className="title mb-3 text-3xl">Costs and hours</legend>
        <TextField label="Cost plus: on top, %" inputMode="decimal" {...register('markup')} trouble={troubleOf('markup')} />
        <ChoiceField
          label="Overhead"
          {...register('overheadPer')}
          options={pairs(overheadRules)}
          className={rule === 'hour' ? 'col-span-2' : ''}
        />
        {rule === 'day' && (
          <TextField
            label={`A day in the workshop, ${house.currency}`}
            inputMode="decimal"
            {...register('overheadDay')}
            trouble={troubleOf('overheadDay')}
          />
        )}
        {rule === 'share' && (
          <TextField
            label="Of work and material, %"
            inputMode="decimal"
            {...register('overheadShare')}
            trouble={troubleOf('overheadShare')}
          />
        )}
      </fieldset>
      <fieldset className="grid max-w-4xl grid-cols-2 items-end gap-4 sm:grid-cols-4">
        <legend className="title mb-3 text-3xl">Where nobody buys</legend>
        <TextField
          label="Down every so many weeks"
          inputMode="numeric"
          {...register('ladderWeeks')}
          trouble={troubleOf('ladderWeeks')}
        />
        <TextField
          label="By so much of the first ask, %"
          inputMode="decimal"
          {...register('ladderShare')}
          trouble={troubleOf('ladderShare')}
        />
      </fieldset>
      <fieldset className="max-w-4xl">
        <legend className="title mb-1 text-3xl">The rate card</legend>
        <p className="text-soft">
          What you ask for an article by its painted area, whatever it cost. The smallest size that holds it counts.
        </p>
        <ul className="mt-3 space-y-3">
          {rates.fields.map((field, index) => (
            <li key={field.key} className="grid grid-cols-2 items-end gap-3 sm:grid-cols-[2fr_1fr_1fr_auto]">
              <ChoiceField
                label="Article"
                {...register(`rates.${index}.article`)}
                options={pairs(articles)}
                className="col-span-2 sm:col-span-1"
              />
              <TextField
                label={`Up to, ${area}`}
                inputMode="decimal"
                placeholder="any size"
                {...register(`rates.${index}.upToM2`)}
                trouble={troubleOf(`rates.${index}.upToM2`)}
              />
              <TextField
                label={`Ask, ${house.currency}`}
                inputMode="decimal"
                {...register(`rates.${index}.price`)}
                trouble={troubleOf(`rates.${index}.price`)}
              />
              <button type="button" className="press min-h-12" onClick={() => rates.remove(index)}>
                Strike it
              </button>
            </li>
          ))}
        </ul>
        <button
          type="button"
          className="press mt-4 min-h-12"
          onClick={() => rates.append({ article: 'chest', upToM2: '', price: '' })}
        >
          {rates.fields.length === 0 ? 'A first line' : 'Another line'}
        </button>
      </fieldset>
      <fieldset className="max-w-2xl">
        <legend className="title mb-1 text-3xl">On an invoice</legend>
        <AreaField
          label="At its head, under the studio’s name: where it is, its number for tax"
          rows={4}
          {...register('letterhead')}
          trouble={troubleOf('letterhead')}
        />
      </fieldset>
      <FormFoot {...{ issue, pending }} words="Keep how prices are made" kept={kept && 'Kept.'} />
    </form>
  )
}

/** As the form holds it. */
function pricingText(pricing: Pricing, house: House): PricingText {
  const percent = (share: number) => numberText(share * 100, house, 3)
  return {
    markup: percent(pricing.markup),
    overheadPer: pricing.overheadPer,
    overheadDay: moneyText(pricing.overheadDay, house),
    overheadShare: percent(pricing.overheadShare),
    ladderWeeks: String(pricing.ladderWeeks),
    ladderShare: percent(pricing.ladderShare),
    letterhead: pricing.letterhead,
    rates: pricing.rates.map(({ article, upToM2, price }) => ({
      article: article as PricingText['rates'][number]['article'],
      upToM2: upToM2 === null ? '' : areaText(upToM2, house),
      price: moneyText(price, house),
    })),
  }
}
