'use client'
/** A tin from the front, its level pulled to what is seen in it, or typed. */
import { X } from 'lucide-react'
import { getFamily } from '@/core/craft/families'
import { amountText, formatAmount, parseAmount } from '@/core/measure/amount'
import type { Product, ShelfLot } from '@/core/stock/product'
import { useHouse } from '@/ui/form/house'
import { Tin } from './Tin'

interface Props {
  product: Product
  lot: ShelfLot
  /** as typed; undefined while it is left alone */
  found: string | undefined
  set: (typed: string | null) => void
}
/** the level is pulled in so many steps of a tin */
const steps = 40

export function TinGauge({ product, lot, found, set }: Props) {
  const house = useHouse()
  const { unit } = product
  const counted = found !== undefined
  const now = counted ? parseAmount(found, unit, house) : lot.remaining
  const level = Math.min(1, Math.max(0, (now ?? lot.remaining) / lot.size))
  const trouble =
    counted &&
    (now === null
      ? 'An amount like those on the tin.'
      : now > lot.size
        ? `It holds ${formatAmount(lot.size, unit, house)} when it is full.`
        : null)
  const name = `${product.colourName ?? product.name}${lot.code ? `, tin ${lot.code}` : ''}`
  return (
    <div className="grid grid-cols-[4rem_minmax(0,1fr)] items-center gap-x-4">
      <span className="w-16">
        <Tin
          {...{ size: lot.size, remaining: level * lot.size, hex: product.colourHex }}
          {...(counted && { thought: lot.remaining })}
        />
      </span>
      <div>
        <p className="leading-snug">
          <span className="font-semibold">{name}</span>
          <span className="block text-soft">
            {product.colourName && `${getFamily(product.family).words} · `}thought {formatAmount(lot.remaining, unit, house)} of{' '}
            {formatAmount(lot.size, unit, house)}
          </span>
        </p>
        <div className="mt-1 flex items-center gap-1">
          <input
            type="range"
            aria-label={`How full: ${name}`}
            aria-valuetext={formatAmount(now ?? lot.remaining, unit, house)}
            min={0}
            max={steps}
            value={Math.round(level * steps)}
            onChange={({ target }) => set(amountText(Math.round((Number(target.value) / steps) * lot.size), unit, house))}
            className="mr-2 h-11 min-w-0 outline-offset-0 grow cursor-pointer accent-(--now)"
          />
          <input
            aria-label={`In it: ${name}`}
            value={found ?? ''}
            placeholder={amountText(lot.remaining, unit, house)}
            onChange={({ target }) => set(target.value === '' ? null : target.value)}
            className="field w-22 text-right"
          />
          {counted ? (
            <button type="button" className="press px-3" aria-label={`Leave it as thought: ${name}`} onClick={() => set(null)}>
              <X aria-hidden size={20} />
            </button>
          ) : (
            <span className="w-11 shrink-0" />
          )}
        </div>
        {trouble && <p className="font-semibold text-late">{trouble}</p>}
      </div>
    </div>
  )
}
