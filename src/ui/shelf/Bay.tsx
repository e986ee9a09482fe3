/** A product's place on the plank: its tins, and on the plank's edge what it is, what is left, and what plans take of it. */
import type { ReactNode } from 'react'
import { getFamily } from '@/core/craft/families'
import { formatAmount } from '@/core/measure/amount'
import type { TakenAhead } from '@/core/stock/ahead'
import type { Product, ShelfLot } from '@/core/stock/product'
import { useHouse } from '@/ui/form/house'
import { NoTin, Tin, tinWidth } from './Tin'

export interface BayOf {
  product: Product
  lots: readonly ShelfLot[]
  /** null where money is not shown */
  coatCost: string | null
  /** null: nothing is planned that takes of it */
  ahead: TakenAhead | null
}
/** more of them stand behind */
const inFront = 3

export function Bay({ bay: { product, lots, ahead }, isOpen }: { bay: BayOf; isOpen: boolean }) {
  const house = useHouse()
  const amount = (value: number) => formatAmount(value, product.unit, house)
  const left = lots.reduce((sum, { remaining }) => sum + remaining, 0)
  const name = product.colourName ?? product.name
  const family = product.colourName ? getFamily(product.family).words : ''
  const tins = (
    <>
      {lots.slice(0, inFront).map((lot) => (
        <span key={lot.id} className="aspect-[44/56] shrink-0" style={{ width: tinWidth(lot.size) }}>
          <Tin
            size={lot.size}
            remaining={lot.remaining}
            hex={product.colourHex}
            lid={lot.openedAt === null}
            planned={ahead?.ofLots[lot.id] ?? 0}
          />
        </span>
      ))}
      {lots.length === 0 && <NoTin hex={product.colourHex} />}
      {lots.length > inFront && <span className="pb-1 font-semibold text-soft">+ {lots.length - inFront}</span>}
    </>
  )
  return (
    <Stand {...{ tins, name, family, isOpen }}>
      {left > 0 ? (
        <span className="mt-1 block">
          <span className="figure text-2xl">{amount(left)}</span> left
          {lots.length > 1 && <span className="sr-only"> in {lots.length} tins</span>}
        </span>
      ) : (
        <span className="mt-1 block font-semibold text-late">none left</span>
      )}
      {ahead && ahead.short > 0 ? (
        <span className="block font-semibold text-late">{amount(ahead.short)} short</span>
      ) : (
        ahead && <span className="block text-sm text-soft">plans take {amount(ahead.amount)}</span>
      )}
    </Stand>
  )
}

interface StandOf {
  tins: ReactNode
  name: string
  /** empty where the name says it */
  family: string
  isOpen?: boolean
  children: ReactNode
}
/** Tins on the plank, and on its edge what they are. */
export const Stand = ({ tins, name, family, isOpen = false, children }: StandOf) => (
  <>
    <span aria-hidden className="flex h-27 items-end gap-1.5 pl-2">
      {tins}
    </span>
    <Plank />
    <span className="block px-2 pt-2 pb-3 leading-tight">
      <span className={`block text-lg leading-tight font-semibold group-hover:underline ${isOpen ? 'underline' : ''}`}>
        {name}
      </span>
      {family && <span className="block text-sm text-soft">{family}</span>}
      {children}
    </span>
  </>
)

/** The plank's front runs on to the end of the shelf, whatever stands there. */
const Plank = () => (
  <span
    aria-hidden
    className="relative block h-2.5 before:absolute before:inset-y-0 before:left-0 before:w-[200vw] before:border-t-2 before:border-ink before:bg-line"
  />
)
