'use server'
/** Putting entries right: a new entry stands in place of the old one, which stays in the log. */
import { correctionInput, strikeInput, type CorrectionText, type StrikeText } from '../../core/input/entry'
import type { Entry } from '../../core/log/entry'
import { listEntries } from '../../db/entry'
import type { Client } from '../../db/pool'
import { store, storeWithMaterial } from '../_server/store'
import { Refused, write, type Answer } from '../_server/write'

async function getEntry(client: Client, pieceId: string, id: string): Promise<Entry> {
  const old = (await listEntries(client, [pieceId])).find((entry) => entry.id === id)
  if (!old) throw new Refused('not-found')
  return old
}

export async function correctEntry(typed: CorrectionText): Promise<Answer> {
  return write(correctionInput, typed, async (client, studio, entered) => {
    const old = await getEntry(client, entered.pieceId, entered.corrects)
    // coats name a mix by its entry: it is struck and mixed anew
    if (old.batch) throw new Refused('not-readable')
    const coat = old.coat && {
      ...old.coat,
      productId: entered.productId,
      lotId: entered.productId === old.coat.productId ? old.coat.lotId : null,
      mix: entered.mix,
      amount: entered.amount ?? old.coat.amount,
      applicator: entered.applicator,
      film: entered.film ?? old.coat.film,
    }
    // when it is written down is now
    const { recordedAt: _, ...kept } = old
    const corrected = {
      ...kept,
      id: entered.entryId,
      at: entered.at,
      corrects: old.id,
      minutes: entered.minutes,
      coat,
      money: entered.money,
      costKind: entered.costKind ?? old.costKind,
      fees: old.kind === 'sold' || old.kind === 'handed-over' ? (entered.fees ?? 0) : null,
      channelId: entered.channelId ?? old.channelId,
      note: entered.note,
    }
    await (coat ? storeWithMaterial(client, studio.id, corrected) : store(client, studio.id, [corrected]))
  })
}

export async function strikeEntry(typed: StrikeText): Promise<Answer> {
  return write(strikeInput, typed, async (client, studio, { entryId, corrects, pieceId, at }) => {
    const old = await getEntry(client, pieceId, corrects)
    const { partId, stepId } = old
    await store(client, studio.id, [{ id: entryId, kind: 'struck', pieceId, partId, stepId, corrects, at }])
  })
}
