/** A tin on the shelf: its family, its colour where it has one, its size and price. Size in ml or g, money in minor units. */
import type { FamilyCode } from '@/core/craft/families'
import type { Label, LabelledTin } from '@/core/craft/label'
import { type Sheen, shines } from '@/core/craft/sheen'
import type { ProductId } from '@/core/measure/named'
import type { Shelf } from '@/core/plan/amounts'
import { compareLots, type Lot } from './drawFromLots'

export interface Product {
  id: ProductId
  name: string
  family: FamilyCode
  colourName: string | null
  colourHex: string | null
  /** as its tin says; absent or null where it does not */
  sheen?: Sheen | null
  /** what its label says otherwise than its family; absent or null where nothing does */
  label?: Label | null
  size: number
  unit: 'ml' | 'g'
  price: number
  /** what it was mixed of here, where it is what was left of a mix: "Quince Rind : Oat Husk 3 : 1" */
  formula?: string | null
}

/** Those whose label says something of its own. */
export const labelledTins = (products: readonly Product[]): LabelledTin[] =>
  products.flatMap(({ id, family, colourHex, sheen, label }) => (label ? [{ id, family, colourHex, sheen, label }] : []))

/** As it came from a shop, not what was left of a mix. */
const isBought = ({ formula }: Product): boolean => !formula

/** One tin as it was bought, with what is left in it. */
export interface ShelfLot extends Lot {
  productId: ProductId
  /** what is stamped on it */
  code: string | null
}
/** The tins of a product that have something in them, the one to reach for first. */
export const lotsInTurn = (lots: readonly ShelfLot[], productId: ProductId): ShelfLot[] =>
  lots.filter((lot) => lot.productId === productId && lot.remaining > 0).sort(compareLots)

/** The tin to reach for: the family, colour and sheen wanted, else the family alone; null where the shelf has none. */
export function productFor(
  products: readonly Product[],
  family: FamilyCode,
  hex: string | null,
  sheen?: Sheen | undefined,
): Product | null {
  // one that says its sheen is surer than one that says none
  const own = products
    .filter((product) => product.family === family && shines(product, sheen))
    .sort((one, other) => (sheen ? Number(!one.sheen) - Number(!other.sheen) : 0))
  // what is left of a mix is nobody's usual tin; it is reached for by its colour alone
  const alike = own.filter(isBought)
  return (
    own.find(({ colourHex }) => hex !== null && colourHex === hex) ??
    (hex === null ? alike[0] : alike.find(({ colourHex }) => colourHex === null)) ??
    null
  )
}

/** What is left in all tins of each product together. */
export function stockOf(products: readonly Product[], lots: readonly ShelfLot[]): (Shelf[number] & { id: ProductId })[] {
  const left = new Map<string, number>()
  for (const { productId, remaining } of lots) left.set(productId, (left.get(productId) ?? 0) + remaining)
  // a mix without a colour of its own stands for no product
  const told = products.filter((product) => isBought(product) || product.colourHex !== null)
  return told.map(({ id, family, colourHex, colourName, sheen }) => ({
    ...{ id, family, hex: colourHex, name: colourName },
    ...(sheen && { sheen }),
    amount: left.get(id) ?? 0,
  }))
}
/** The same, of no product by name: what a plan is drawn from. */
export const shelfOf = (products: readonly Product[], lots: readonly ShelfLot[]): Shelf =>
  stockOf(products, lots).map(({ id: _, ...rest }) => rest)

/** Minor units per ml or g of each family, from the cheapest tin of it on the shelf. */
export function unitPricesOf(products: readonly Product[]): Partial<Record<FamilyCode, number>> {
  const prices: Partial<Record<FamilyCode, number>> = {}
  for (const { family, price, size } of products.filter(isBought))
    prices[family] = Math.min(prices[family] ?? Infinity, price / size)
  return prices
}
