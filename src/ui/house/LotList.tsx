'use client'
/** The tins of one product: each as full as the log says, taken off when it is empty; another one bought. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { lotInput, type LotText } from '@/core/input/house'
import { amountText, formatAmount, smallUnit } from '@/core/measure/amount'
import { moneyText } from '@/core/measure/money'
import type { Product, ShelfLot } from '@/core/stock/product'
import { useActions } from '@/ui/form/actions'
import { TextField, Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useMay } from '@/ui/form/may'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { useTapGuard } from '@/ui/form/useTapGuard'
import { useWrite } from '@/ui/form/useWrite'
import { useNow } from '@/ui/time/now'
import { loggedWords } from '@/words/time'

export function LotList({ product, lots, coatCost }: { product: Product; lots: readonly ShelfLot[]; coatCost: string | null }) {
  const may = useMay()
  const [buying, setBuying] = useState(false)
  const [gone, setGone] = useState<ShelfLot | null>(null)
  const { empty, issue, pending } = useEmpty(setGone)
  const { guard, stir } = useTapGuard()
  return (
    <div>
      <div className="flex items-start justify-between gap-4">
        <h3 className="leading-snug">
          <span className="text-lg font-semibold">{product.colourName ?? product.name}</span>
          <span className="block text-sm text-soft">
            {[product.formula && `Mixed here: ${product.formula}`, coatCost].filter(Boolean).join(' · ')}
          </span>
        </h3>
        {may('product') && (
          <button
            type="button"
            className="press shrink-0"
            aria-expanded={buying}
            aria-label={`Another tin of ${product.name}`}
            {...guard(() => {
              stir()
              setBuying(!buying)
            })}
          >
            Another tin
          </button>
        )}
      </div>
      {buying && <BuyForm product={product} done={() => setBuying(false)} />}
      {lots.length === 0 ? (
        <p className="font-semibold text-late">None left.</p>
      ) : (
        <ul className="mt-2 flex flex-wrap gap-x-6 gap-y-3">
          {lots.map((lot) => (
            <LotFront key={lot.id} lot={lot} product={product} empty={() => void empty(lot, false)} pending={pending} />
          ))}
        </ul>
      )}
      {gone && (
        <p role="status" className="mt-2 flex flex-wrap items-center gap-x-4">
          {nameOf(gone)} is off the shelf.
          <button type="button" disabled={pending} className="press" onClick={() => void empty(gone, true)}>
            Put it back
          </button>
        </p>
      )}
      <Trouble>{issue}</Trouble>
    </div>
  )
}

const nameOf = ({ code }: ShelfLot) => (code ? `Tin ${code}` : 'The tin')

/** Takes a tin off, or puts it back: a slip of a wet thumb is put right where it happened. */
function useEmpty(took: (lot: ShelfLot | null) => void) {
  const { emptyTin } = useActions()
  const router = useRouter()
  const { send, issue, pending } = useWrite(emptyTin)
  const empty = async (lot: ShelfLot, back: boolean) => {
    if (!(await send({ id: lot.id, at: new Date().toISOString(), back }))) return
    took(back ? null : lot)
    router.refresh()
  }
  return { empty, issue, pending }
}

/** A tin from the front: what is left stands in it. */
function LotFront({ lot, product, empty, pending }: { lot: ShelfLot; product: Product; empty: () => void; pending: boolean }) {
  const house = useHouse()
  const nowMs = useNow()
  const left = formatAmount(lot.remaining, product.unit, house)
  return (
    <li className="flex items-end gap-3">
      <svg viewBox="0 0 40 48" aria-hidden className="h-16 w-13 shrink-0">
        <rect x="3" y="6" width="34" height="40" fill="var(--sheet)" />
        <rect
          x="3"
          y={46 - 40 * (lot.remaining / lot.size)}
          width="34"
          height={40 * (lot.remaining / lot.size)}
          fill={product.colourHex ?? 'var(--line)'}
        />
        <path d="M3 6v40h34V6" fill="none" stroke="var(--ink)" strokeWidth="2" />
        {lot.openedAt === null ? (
          <path d="M1 3h38v4H1z" fill="var(--ink)" />
        ) : (
          <path d="M3 6h34" stroke="var(--ink)" strokeWidth="2" strokeDasharray="3 3" />
        )}
      </svg>
      <div className="leading-snug">
        <p>
          {lot.remaining > 0 ? (
            <>
              <strong>{left}</strong> <span className="text-soft">left</span>
            </>
          ) : (
            <strong className="text-late">used up</strong>
          )}
        </p>
        <p className="text-sm text-soft">
          {nameOf(lot)}, {lot.openedAt ? `opened ${loggedWords(lot.openedAt, house, nowMs)}` : 'not opened'}
        </p>
        <button
          type="button"
          disabled={pending}
          className="min-h-12 cursor-pointer text-sm font-semibold underline"
          aria-label={`It is empty: ${nameOf(lot)} of ${product.name}`}
          onClick={empty}
        >
          It is empty
        </button>
      </div>
    </li>
  )
}

function BuyForm({ product, done }: { product: Product; done: () => void }) {
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
