'use client'
/** Another tin of what is known: put on the shelf as it was bought. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { lotInput, type LotText } from '@/core/input/house'
import { amountText, smallUnit } from '@/core/measure/amount'
import { moneyText } from '@/core/measure/money'
import type { Product } from '@/core/stock/product'
import { useActions } from '@/ui/form/actions'
import { TextField, Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useEntryForm } from '@/ui/form/useEntryForm'

export function AnotherTin({ product, done }: { product: Product; done: () => void }) {
  const { buyLot } = useActions()
  const house = useHouse()
  const router = useRouter()
  const [defaults] = useState<LotText>(() => ({
    id: uuidv7(),
    productId: product.id,
    code: '',
    unit: product.unit,
    size: amountText(product.size, product.unit, house),
    price: moneyText(product.price, house),
    at: new Date().toISOString(),
  }))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<LotText>(lotInput(house), defaults, buyLot, () => {
    done()
    router.refresh()
  })
  const { register } = form
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="mt-3 grid grid-cols-2 items-end gap-3 sm:grid-cols-4">
      <TextField label="Stamped on it" placeholder="4417" {...register('code')} trouble={troubleOf('code')} />
      <TextField
        label={`Size, ${smallUnit(product.unit, house.units).words}`}
        {...register('size')}
        trouble={troubleOf('size')}
      />
      <TextField label={`Price, ${house.currency}`} inputMode="decimal" {...register('price')} trouble={troubleOf('price')} />
      <button type="submit" disabled={pending} className="press press-now">
        Put it on the shelf
      </button>
      <div className="col-span-2 empty:hidden sm:col-span-4">
        <Trouble>{issue}</Trouble>
      </div>
    </form>
  )
}
