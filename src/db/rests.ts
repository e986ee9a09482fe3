/** What is left of a mix, put by: a tin of its own with what it was mixed of and its share of what went in, or thrown away. */
import { type FamilyCode, unitOf } from '@/core/craft/families'
import type { IssueCode } from '@/core/input/issues'
import { shareOfBatch } from '@/core/log/batch'
import type { EntryId, Instant, LotId, PieceId, ProductId, StudioId } from '@/core/measure/named'
import { addEntries } from './entry'
import type { Client } from './pool'
import { addLot, takeBatchInHand } from './stock'
import { saveProduct } from './studio'

export interface RestPutBy {
  entryId: EntryId
  pieceId: PieceId
  at: Instant
  batchId: EntryId
  family: FamilyCode
  /** ml or g */
  amount: number
  /** null where it is thrown away */
  tin: { productId: ProductId; lotId: LotId; name: string; colourHex: string | null } | null
}

/** Answers with how much there is where that is less than what is to be put by, and with an issue where the database refuses. */
export async function putRestBy(
  client: Client,
  studioId: StudioId,
  { entryId, pieceId, at, batchId, family, amount, tin }: RestPutBy,
): Promise<{ left: number } | { issue: IssueCode } | null> {
  const made = await takeBatchInHand(client, batchId, null)
  if (!made) return { issue: 'not-found' }
  if (amount > made.left) return { left: made.left }
  const unit = unitOf(family)
  const money = shareOfBatch(made, amount)
  if (tin) {
    const { productId: id, lotId, name, colourHex } = tin
    const colourName = colourHex === null ? null : name
    await saveProduct(client, studioId, {
      ...{ id, name, family, colourName, colourHex, size: amount, unit, price: money, formula: made.mix },
    })
    await addLot(client, studioId, { id: lotId, productId: id, code: null, size: amount, price: money, boughtAt: at })
  }
  const rest = { batchId, family, amount, unit, productId: tin?.productId ?? null, lotId: tin?.lotId ?? null }
  return addEntries(client, studioId, [{ id: entryId, kind: 'put-by', pieceId, at, money, rest }])
}
