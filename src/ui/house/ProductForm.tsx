'use client'
/** A tin, put on the shelf. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { families, type FamilyCode, isPaint, unitOf } from '@/core/craft/families'
import { saidByTin, sheens, sheensOf } from '@/core/craft/sheen'
import { productInput, type ProductText } from '@/core/input/house'
import { smallUnit } from '@/core/measure/amount'
import { useActions } from '@/ui/form/actions'
import { ChoiceField, pairs, TextField, Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useEntryForm } from '@/ui/form/useEntryForm'

export function ProductForm() {
  const { keepProduct } = useActions()
  const house = useHouse()
  const router = useRouter()
  const [family, setFamily] = useState<FamilyCode>('clay')
  const [defaults] = useState<ProductText>(() => ({
    id: uuidv7(),
    name: '',
    family: 'clay',
    colourName: '',
    colourHex: '',
    sheen: '',
    size: '',
    price: '',
    lotId: uuidv7(),
    code: '',
    at: new Date().toISOString(),
  }))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<ProductText>(
    productInput(house),
    defaults,
    keepProduct,
    (_, form) => {
      form.reset({ ...defaults, id: uuidv7(), lotId: uuidv7(), at: new Date().toISOString(), family })
      router.refresh()
    },
  )
  const { register } = form
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="mt-4 grid grid-cols-2 items-end gap-3 sm:grid-cols-4">
      <ChoiceField
        label="Family"
        {...register('family', {
          onChange: (event: { target: { value: FamilyCode } }) => {
            setFamily(event.target.value)
            form.setValue('sheen', '')
          },
        })}
        options={pairs(families)}
      />
      <TextField label="What stands on it" {...register('name')} trouble={troubleOf('name')} />
      <TextField
        label={`Size, ${smallUnit(unitOf(family), house.units).words}`}
        {...register('size')}
        trouble={troubleOf('size')}
      />
      <TextField label={`Price, ${house.currency}`} inputMode="decimal" {...register('price')} trouble={troubleOf('price')} />
      <TextField label="Stamped on it" placeholder="4417" {...register('code')} trouble={troubleOf('code')} />
      {saidByTin(family) && (
        <ChoiceField
          label="Sheen"
          {...register('sheen')}
          options={[['', 'it does not say'], ...sheensOf(family).map((code) => [code, sheens[code]] as const)]}
        />
      )}
      {isPaint(family) && (
        <>
          <TextField label="Colour’s name" {...register('colourName')} trouble={troubleOf('colourName')} />
          <TextField label="Colour’s value" placeholder="#7a4b2e" {...register('colourHex')} trouble={troubleOf('colourHex')} />
        </>
      )}
      <button type="submit" disabled={pending} className="press press-now">
        Put it on the shelf
      </button>
      <Trouble>{issue}</Trouble>
    </form>
  )
}
