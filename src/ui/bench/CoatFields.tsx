'use client'
/** The fields of a coat: from which mix or tin, how much, how thick, with what; the rest behind one more fold. */
import type { FieldPath, UseFormReturn } from 'react-hook-form'
import type { CoatPlan } from '@/core/bench/coatPlan'
import { codesOf } from '@/core/craft/parts'
import { sheens } from '@/core/craft/sheen'
import type { CoatText } from '@/core/input/entry'
import { amountText, parseAmount, smallUnit } from '@/core/measure/amount'
import { films } from '@/core/measure/film'
import { AreaField, ChoiceField, pairs, TextField } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useNow } from '@/ui/time/now'
import { batchWords, lotWords } from '@/words/stock'

const consistencies = ['cream', 'yoghurt', 'custard', 'putty'] as const
const tinShares = [
  ['¼', 1 / 4],
  ['⅓', 1 / 3],
  ['½', 1 / 2],
] as const

interface Props {
  form: UseFormReturn<CoatText>
  plan: CoatPlan
  troubleOf: (path: FieldPath<CoatText>) => string | undefined
}

export function CoatFields(props: Props) {
  const { form, troubleOf } = props
  const { register, watch, setValue } = form
  return (
    <div className="mt-1 grid grid-cols-2 gap-x-4 gap-y-3">
      <From {...props} />
      <Amount {...props} />
      <fieldset>
        <legend className="mb-1 text-sm font-semibold">Film</legend>
        <div className="flex flex-wrap gap-2">
          {codesOf(films).map((film) => (
            <button
              key={film}
              type="button"
              aria-pressed={watch('film') === film}
              onClick={() => setValue('film', film)}
              className="press px-3 aria-pressed:outline-3 aria-pressed:outline-now"
            >
              {film}
            </button>
          ))}
        </div>
      </fieldset>
      <TextField label="Mix" placeholder="as it comes" {...register('mix')} trouble={troubleOf('mix')} />
      <TextField label="Applicator" {...register('applicator')} trouble={troubleOf('applicator')} />
      <details className="col-span-2">
        <summary className="tap underline">Consistency, sheen, where, air, a note</summary>
        <Rarely {...props} />
      </details>
    </div>
  )
}

/** The mix, or the product and its tin. */
function From({ form, plan, troubleOf }: Props) {
  const { register, watch, setValue } = form
  const house = useHouse()
  const nowMs = useNow()
  const product = plan.products.find(({ id }) => id === watch('productId'))
  return (
    <>
      {plan.batches.length > 0 && (
        <ChoiceField
          label="From the mix"
          className="col-span-2"
          {...register('batchId')}
          options={[
            ...plan.batches.map((batch) => [batch.id, batchWords(batch, house, nowMs)] as const),
            ['', 'No mix: from the tin'],
          ]}
        />
      )}
      {!watch('batchId') && (
        <>
          <ChoiceField
            label="Product"
            className={product && product.lots.length > 0 ? '' : 'col-span-2'}
            {...register('productId', {
              onChange: ({ target }: { target: { value: string } }) => {
                setValue('lotId', '')
                setValue('sheen', plan.products.find(({ id }) => id === target.value)?.sheen ?? plan.sheen)
              },
            })}
            trouble={troubleOf('productId')}
            options={[...plan.products.map(({ id, name }) => [id, name] as const), ['', 'Not from the shelf, no price']]}
          />
          {product && product.lots.length > 0 && (
            <ChoiceField
              label="From"
              {...register('lotId')}
              options={[
                ...product.lots.map((lot) => [lot.id, lotWords(lot, product.unit, house)] as const),
                ['', 'whichever is open'],
              ]}
            />
          )}
        </>
      )}
    </>
  )
}

function Amount({ form, plan, troubleOf }: Props) {
  const house = useHouse()
  const { register, watch, setValue } = form
  const product = plan.products.find(({ id }) => id === watch('productId'))
  // of the tin in hand; the product's usual one where none was named
  const size = product ? (product.lots.find(({ id }) => id === watch('lotId'))?.size ?? product.size) : null
  const measure = (text: string) => {
    const amount = parseAmount(text, plan.unit, house, size)
    if (amount !== null) setValue('amount', amountText(amount, plan.unit, house), { shouldValidate: true })
  }
  return (
    <div>
      <TextField
        label={`Amount, ${smallUnit(plan.unit, house.units).words}`}
        hint="Or: a third of the tin."
        {...register('amount', { onBlur: (event: { target: { value: string } }) => measure(event.target.value) })}
        trouble={troubleOf('amount')}
      />
      {size !== null && (
        <div className="mt-2 flex flex-wrap gap-2">
          {tinShares.map(([words, share]) => (
            <button
              key={words}
              type="button"
              className="press px-3 text-sm"
              aria-label={`${words} of the tin`}
              onClick={() => setValue('amount', amountText(Math.round(share * size), plan.unit, house))}
            >
              {words} tin
            </button>
          ))}
        </div>
      )}
    </div>
  )
}

function Rarely({ form, troubleOf }: Props) {
  const { register, setValue } = form
  return (
    <div className="mt-1 grid grid-cols-2 gap-x-4 gap-y-3">
      <div className="col-span-2 flex flex-wrap gap-2" role="group" aria-label="Thick as">
        {consistencies.map((words) => (
          <button key={words} type="button" className="press px-3 text-sm" onClick={() => setValue('mix', `thick as ${words}`)}>
            thick as {words}
          </button>
        ))}
      </div>
      <ChoiceField label="Sheen" {...register('sheen')} options={[['', 'not said'], ...pairs(sheens)]} />
      <TextField label="Where, if not all of it" {...register('place')} trouble={troubleOf('place')} />
      <TextField label="Air, °C" inputMode="decimal" {...register('temperature')} trouble={troubleOf('temperature')} />
      <TextField label="Humidity, %" inputMode="decimal" {...register('humidity')} trouble={troubleOf('humidity')} />
      <AreaField label="Note" rows={2} {...register('note')} trouble={troubleOf('note')} className="col-span-2" />
    </div>
  )
}
