'use client'
/** The tins of one product: each as full as the log says, taken off when it is empty; what takes of them; another one bought. */
import { useRouter } from 'next/navigation'
import { type ReactNode, useState } from 'react'
import { getFamily } from '@/core/craft/families'
import { formatAmount } from '@/core/measure/amount'
import { usualChance } from '@/core/stock/chance'
import type { ShelfLot } from '@/core/stock/product'
import { useActions } from '@/ui/form/actions'
import { Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useMay } from '@/ui/form/may'
import { useTapGuard } from '@/ui/form/useTapGuard'
import { useWrite } from '@/ui/form/useWrite'
import { Link } from '@/ui/frame/Link'
import { useNow } from '@/ui/time/now'
import { ofJobs } from '@/words/shelf'
import { capital } from '@/words/text'
import { loggedWords } from '@/words/time'
import { AnotherTin } from './AnotherTin'
import type { BayOf } from './Bay'

export function TinSheet({ bay: { product, lots, coatCost, ahead } }: { bay: BayOf }) {
  const house = useHouse()
  const may = useMay()
  const [buying, setBuying] = useState(false)
  const [gone, setGone] = useState<ShelfLot | null>(null)
  const { empty, issue, pending } = useEmpty(setGone)
  const { guard, stir } = useTapGuard()
  const amount = (value: number) => formatAmount(value, product.unit, house)
  return (
    <div className="col-span-full mb-5 rounded-[1.25rem_0.2rem_0.2rem] bg-sheet px-5 py-4">
      <div className="flex flex-wrap items-start justify-between gap-x-6 gap-y-2">
        <div className="leading-snug">
          <h3 className="title text-2xl">{product.colourName ?? product.name}</h3>
          <p className="text-soft">
            {[capital(getFamily(product.family).words), product.formula && `mixed here: ${product.formula}`, coatCost]
              .filter(Boolean)
              .join(' · ')}
          </p>
          {ahead && (
            <p className="mt-1">
              {ahead.amount > 0 && (
                <>
                  Plans take {amount(ahead.amount)} of it, in {ofJobs[usualChance]} such jobs no more
                </>
              )}
              {ahead.amount > 0 && ahead.short > 0 && '; '}
              {ahead.short > 0 && <strong className="text-late">{amount(ahead.short)} more are wanted</strong>}:{' '}
              {ahead.pieces.map(({ id, name }, index) => (
                <span key={id}>
                  {index > 0 && ', '}
                  <Link href={`/pieces/${id}`}>{name}</Link>
                </span>
              ))}
              .
            </p>
          )}
        </div>
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
      {buying && <AnotherTin product={product} done={() => setBuying(false)} />}
      <ul className="mt-2">
        {lots.map((lot) => (
          <TinRow key={lot.id} lot={lot} left={amount(lot.remaining)} of={amount(lot.size)}>
            <button
              type="button"
              disabled={pending}
              className="min-h-12 cursor-pointer font-semibold underline"
              aria-label={`It is empty: ${nameOf(lot)} of ${product.name}`}
              onClick={() => void empty(lot, false)}
            >
              It is empty
            </button>
          </TinRow>
        ))}
      </ul>
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

function TinRow({ lot, left, of, children }: { lot: ShelfLot; left: string; of: string; children: ReactNode }) {
  const house = useHouse()
  const nowMs = useNow()
  return (
    <li className="flex flex-wrap items-center justify-between gap-x-6 border-t border-line">
      <span className="py-2">
        {nameOf(lot)}, {lot.openedAt ? `opened ${loggedWords(lot.openedAt, house, nowMs)}` : 'not opened'}:{' '}
        {lot.remaining > 0 ? (
          <>
            <strong>{left} left</strong> of {of}
          </>
        ) : (
          <strong className="text-late">used up</strong>
        )}
      </span>
      {children}
    </li>
  )
}

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
