/** How a like coat went on the last time: what the next one begins with. Pure. */
import type { FamilyCode } from '@/core/craft/families'
import type { OperationCode } from '@/core/craft/operations'
import type { Instant, ProductId } from '@/core/measure/named'
import type { CoatFigures } from './figures'

/** A coat as it was logged, with the operation it was laid in. */
export interface LoggedCoat {
  operation: OperationCode
  at: Instant
  coat: CoatFigures
}

/**
 * The latest coat of the same operation and family, in this colour's product where there is one; null where none was logged. A
 * wash says nothing of how a plain coat is laid.
 */
export function findLastLike(
  coats: readonly LoggedCoat[],
  like: { operation: OperationCode; family: FamilyCode; productIds: ReadonlySet<ProductId> },
): CoatFigures | null {
  let last: LoggedCoat | null = null
  for (const each of coats) {
    const { family, productId } = each.coat
    if (each.operation !== like.operation || family !== like.family) continue
    if (productId !== null && like.productIds.size > 0 && !like.productIds.has(productId)) continue
    if (last === null || each.at > last.at) last = each
  }
  return last?.coat ?? null
}
