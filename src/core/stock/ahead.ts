/** What the plans ahead take of each product on the shelf, of which of its tins, and what they lack. Amounts in ml or g; pure. */
import type { LotId, PieceId, ProductId } from '@/core/measure/named'
import { type Need, serveNeeds, type Take } from './buy'
import { drawFromLots } from './drawFromLots'
import { lotsInTurn, type Product, productFor, type ShelfLot, stockOf } from './product'

/** A need, and of which pieces. */
export interface NeedOf extends Need {
  pieces: readonly { id: PieceId; name: string }[]
}
export interface TakenAhead {
  /** what stands there and will be taken; what is wanted of it besides and does not stand there */
  amount: number
  short: number
  pieces: { id: PieceId; name: string }[]
  /** by tin, in the order they are reached for */
  ofLots: Record<LotId, number>
}
/** What is wanted and was never on the shelf. */
export interface NeverHere extends Pick<Need, 'family' | 'hex' | 'name' | 'sheen'> {
  short: number
}

const nobody = (): TakenAhead => ({ amount: 0, short: 0, pieces: [], ofLots: {} })

/** `share`: in how many of such jobs what is taken is no more than this. Products that nothing takes of are left out. */
export function takenAhead(
  needs: readonly NeedOf[],
  around: {
    products: readonly Product[]
    lots: readonly ShelfLot[]
    takeOf: (family: Need['family']) => Take
    share: number
  },
): { byProduct: Record<ProductId, TakenAhead>; neverHere: NeverHere[] } {
  const { products, lots } = around
  const stock = stockOf(products, lots)
  const byProduct: Record<ProductId, TakenAhead> = {}
  const neverHere: NeverHere[] = []
  const of = (id: ProductId, { pieces }: NeedOf): TakenAhead => {
    const taken = (byProduct[id] ??= nobody())
    taken.pieces.push(...pieces.filter((piece) => !taken.pieces.some((known) => known.id === piece.id)))
    return taken
  }
  for (const { need, short, of: served } of serveNeeds(needs, { ...around, shelf: stock })) {
    for (const { index, amount } of served) of((stock[index] as (typeof stock)[number]).id, need).amount += amount
    if (short === 0) continue
    const { family, hex, name, sheen } = need
    const own = productFor(products, family, hex, sheen)
    if (own && (hex === null || own.colourHex === hex)) of(own.id, need).short += short
    else neverHere.push({ family, hex, name, short, ...(sheen && { sheen }) })
  }
  for (const [id, taken] of Object.entries(byProduct) as [ProductId, TakenAhead][])
    for (const { lot, amount } of drawFromLots({ lots: lotsInTurn(lots, id), amount: taken.amount }).draws)
      taken.ofLots[lot as LotId] = amount
  return { byProduct, neverHere }
}
