'use server'
/** Putting entries right: a new entry stands in place of the old one, which stays in the log. */
import { roundMoney } from '../../core/money/money'
import { correctionInput, strikeInput, type CorrectionText, type StrikeText } from '../../core/input/entry'
import type { Entry } from '../../core/log/entry'
import { addEntries, listEntries } from '../../db/entry'
import type { Client } from '../../db/pool'
import { findProduct } from '../../db/studio'
import { Refused, write, type Answer } from '../_server/write'

async function getEntry(client: Client, pieceId: string, id: string): Promise<Entry> {
  const old = (await listEntries(client, [pieceId])).find((entry) => entry.id === id)
  if (!old) throw new Refused('not-found')
  return old
}

export async function correctEntry(typed: CorrectionText): Promise<Answer> {
  return write(correctionInput, typed, async (client, studio, entered) => {
    const old = await getEntry(client, entered.pieceId, entered.corrects)
    const product = entered.productId ? await findProduct(client, entered.productId) : null
    const coat = old.coat && {
      ...old.coat,
      productId: entered.productId,
      mix: entered.mix,
      amount: entered.amount ?? old.coat.amount,
      applicator: entered.applicator,
      film: entered.film ?? old.coat.film,
    }
    const money = coat ? (product ? roundMoney((product.price * coat.amount) / product.size) : 0) : entered.money
    // when it is written down is now
    const { recordedAt: _, ...kept } = old
    const trouble = await addEntries(client, studio.id, [
      {
        ...kept,
        id: entered.entryId,
        at: entered.at,
        corrects: old.id,
        minutes: entered.minutes,
        coat,
        money,
        costKind: entered.costKind ?? old.costKind,
        fees: old.kind === 'sold' || old.kind === 'handed-over' ? (entered.fees ?? 0) : null,
        channelId: entered.channelId ?? old.channelId,
        note: entered.note,
      },
    ])
    if (trouble) throw new Refused(trouble.issue)
  })
}

export async function strikeEntry(typed: StrikeText): Promise<Answer> {
  return write(strikeInput, typed, async (client, studio, { entryId, corrects, pieceId, at }) => {
    const old = await getEntry(client, pieceId, corrects)
    const trouble = await addEntries(client, studio.id, [
      { id: entryId, kind: 'struck', pieceId, partId: old.partId, stepId: old.stepId, corrects, at },
    ])
    if (trouble) throw new Refused(trouble.issue)
  })
}
