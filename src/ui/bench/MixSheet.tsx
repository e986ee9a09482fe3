'use client'
/** A mix made up as a batch: how much for the coats ahead, what goes into it, each part from its tin. Coats then name it. */
import { Dialog } from 'radix-ui'
import { useState } from 'react'
import type { UseFormReturn } from 'react-hook-form'
import { v7 as uuidv7 } from 'uuid'
import type { CoatPlan, MixPlan } from '@/core/bench/coatPlan'
import type { StepCard } from '@/core/bench/stepCard'
import { type Component, componentsOf } from '@/core/craft/mixes'
import { mixInput, type MixText } from '@/core/input/entry'
import { amountText, type AmountUnit, formatAmount, parseAmount, plainAmount, smallUnit } from '@/core/measure/amount'
import type { LotId, ProductId } from '@/core/measure/named'
import { formatNumber } from '@/core/measure/number'
import { ChoiceField, TextField, Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { useMoment } from '@/ui/form/useMoment'
import { Sheet } from '@/ui/frame/Sheet'
import { useOutbox } from '@/ui/outbox/useOutbox'
import { stepTitle } from '@/words/craft'
import { lotWords } from '@/words/stock'

interface Props {
  card: StepCard
  plan: CoatPlan
  making: MixPlan
  close: () => void
}

export function MixSheet(props: Props) {
  return (
    <Dialog.Root open onOpenChange={props.close}>
      <Sheet>
        <MixForm {...props} />
      </Sheet>
    </Dialog.Root>
  )
}

const lotsOf = (making: MixPlan, productId: ProductId) => making.products.find(({ id }) => id === productId)?.lots ?? []

/** A component as it is likely taken: its product, and of that the tin to reach for first. */
function likelyFrom({ family, hex }: Component, making: MixPlan): { productId: ProductId; lotId: LotId } {
  const coloured = hex && making.products.find((each) => each.family === family && each.hex === hex)?.id
  const productId = hex ? coloured || '' : ((family && making.likely[family]) ?? '')
  return { productId, lotId: lotsOf(making, productId)[0]?.id ?? '' }
}

function MixForm({ card, plan, making, close }: Props) {
  const house = useHouse()
  const { send } = useOutbox()
  const partsOf = (mix: string, volume: number) => componentsOf(mix, volume, plan.family, making.paint, making.colours)
  const [defaults] = useState<MixText>(() => ({
    entryId: uuidv7(),
    pieceId: card.pieceId,
    partId: card.partId,
    stepId: card.stepId,
    at: new Date().toISOString(),
    family: plan.family,
    productId: plan.productId,
    lotId: lotsOf(making, plan.productId)[0]?.id ?? '',
    mix: making.mix,
    volume: amountText(making.volume || plan.amount, plan.unit, house),
    from: (partsOf(making.mix, making.volume || plan.amount) ?? []).map((each) => likelyFrom(each, making)),
    stepIds: making.stepIds,
  }))
  const moment = useMoment(defaults.entryId)
  const { form, submit, pending, issue, troubleOf } = useEntryForm<MixText>(
    mixInput(house),
    defaults,
    (typed) => {
      const volume = plainAmount(parseAmount(typed.volume, plan.unit, house) ?? plan.amount, plan.unit)
      return send('mixBatch', { ...typed, volume, at: moment() }, `Mixed: ${typed.mix}, ${card.pieceName}`)
    },
    close,
  )
  const { register, watch, setValue } = form
  const components = partsOf(watch('mix'), parseAmount(watch('volume'), plan.unit, house) ?? NaN)
  const { volumeOfAll } = making
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="grid grid-cols-2 items-start gap-4">
      <div className="col-span-2">
        <p className="eyebrow">
          {card.pieceName} · {card.partName}
        </p>
        <Dialog.Title className="title text-3xl">Mix for {stepTitle(card.step)}</Dialog.Title>
        <Dialog.Description className="text-soft">
          Enough for the coats ahead on this piece that are alike, as long as it keeps.
        </Dialog.Description>
      </div>
      <div>
        <TextField
          label={`How much, ${smallUnit(plan.unit, house.units).words}`}
          {...register('volume')}
          trouble={troubleOf('volume')}
          className="text-xl"
        />
        {volumeOfAll !== null && (
          <button
            type="button"
            className="press mt-2 px-3 text-sm"
            onClick={() => setValue('volume', amountText(volumeOfAll, plan.unit, house))}
          >
            {formatAmount(volumeOfAll, plan.unit, house)} for other pieces too
          </button>
        )}
      </div>
      <TextField
        label="Made of"
        placeholder="paint : water 1 : 1"
        {...register('mix', {
          // what is written anew is taken from its likely tins anew
          onChange: (event: { target: { value: string } }) =>
            setValue(
              'from',
              (partsOf(event.target.value, 1) ?? []).map((each) => likelyFrom(each, making)),
            ),
        })}
        trouble={troubleOf('mix')}
      />
      <Components components={components} unit={plan.unit} />
      {components ? (
        components.map((each, k) =>
          each.family ? <ComponentFrom key={`${each.name} ${k}`} at={k} component={each} making={making} form={form} /> : null,
        )
      ) : (
        <TinOf plan={plan} form={form} />
      )}
      <div className="col-span-2 empty:hidden">
        <Trouble>{issue}</Trouble>
      </div>
      <div className="col-span-2 flex flex-wrap justify-between gap-3">
        <Dialog.Close className="press min-h-14">Not now</Dialog.Close>
        <button type="submit" disabled={pending} className="press press-now min-h-14 flex-1 text-lg">
          Mixed, write it down
        </button>
      </div>
    </form>
  )
}

/** How much of each, large. */
function Components({ components, unit }: { components: Component[] | null; unit: AmountUnit }) {
  const house = useHouse()
  const small = smallUnit(unit, house.units)
  return (
    <dl className="col-span-2 flex flex-wrap gap-x-10 gap-y-2 border-y-2 border-ink py-3" aria-live="polite">
      {components ? (
        components.map(({ name, amount }) => (
          <div key={name}>
            <dd className="figure text-5xl">
              {formatNumber(amount / small.size, house, house.units === 'metric' ? 0 : 1)}
              <span className="ml-1 text-xl font-semibold tracking-normal text-soft">{small.words}</span>
            </dd>
            <dt className="eyebrow">{name}</dt>
          </div>
        ))
      ) : (
        <div>
          <dt className="sr-only">What goes in</dt>
          <dd className="text-soft">Written like “paint : water 2 : 1”, it says how much of each.</dd>
        </div>
      )}
    </dl>
  )
}

/** One component's product and tin. */
function ComponentFrom({
  at,
  component,
  making,
  form,
}: {
  at: number
  component: Component
  making: MixPlan
  form: UseFormReturn<MixText>
}) {
  const house = useHouse()
  const { register, watch, setValue } = form
  const products = making.products.filter(({ family }) => family === component.family)
  const chosen = products.find(({ id }) => id === watch(`from.${at}.productId`))
  const name = component.name
  return (
    <div className="col-span-2 grid grid-cols-2 gap-4">
      <ChoiceField
        label={`The ${name}`}
        {...register(`from.${at}.productId`, {
          onChange: (event: { target: { value: string } }) =>
            setValue(`from.${at}.lotId`, lotsOf(making, event.target.value)[0]?.id ?? ''),
        })}
        options={[...products.map((product) => [product.id, product.name] as const), ['', 'Not from the shelf, no price']]}
      />
      {chosen && chosen.lots.length > 0 && (
        <ChoiceField
          label={`${name.charAt(0).toUpperCase()}${name.slice(1)} from`}
          {...register(`from.${at}.lotId`)}
          options={[...chosen.lots.map((lot) => [lot.id, lotWords(lot, chosen.unit, house)] as const), ['', 'whichever is open']]}
        />
      )}
    </div>
  )
}

/** A mix that is told by the eye is all of one product. */
function TinOf({ plan, form }: { plan: CoatPlan; form: UseFormReturn<MixText> }) {
  const house = useHouse()
  const { register, watch } = form
  const product = plan.products.find(({ id }) => id === watch('productId'))
  return (
    <>
      <ChoiceField
        label="Product"
        className="col-span-2 sm:col-span-1"
        {...register('productId')}
        options={[...plan.products.map(({ id, name }) => [id, name] as const), ['', 'Not from the shelf, no price']]}
      />
      {product && product.lots.length > 0 && (
        <ChoiceField
          label="From"
          className="col-span-2 sm:col-span-1"
          {...register('lotId')}
          options={[
            ...product.lots.map((lot) => [lot.id, lotWords(lot, product.unit, house)] as const),
            ['', 'whichever is open'],
          ]}
        />
      )}
    </>
  )
}
