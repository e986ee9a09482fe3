'use server'
/** Putting entries right: a new entry stands in place of the old one, which stays in the log. */
import { store, storeWithMaterial } from '@/app/_server/store'
import { Refused, writeOnce } from '@/app/_server/write'
import { correctionInput, type CorrectionText, strikeInput, type StrikeText } from '@/core/input/entry'
import type { Answer } from '@/core/input/issues'
import { correctedEntry } from '@/core/log/correction'
import type { Entry } from '@/core/log/entry'
import type { EntryId, PieceId } from '@/core/measure/named'
import { listEntries } from '@/db/entry'
import type { Client } from '@/db/pool'

async function getEntry(client: Client, pieceId: PieceId, id: EntryId): Promise<Entry> {
  const old = (await listEntries(client, [pieceId])).find((entry) => entry.id === id)
  if (!old) throw new Refused('not-found')
  return old
}

export async function correctEntry(typed: CorrectionText): Promise<Answer> {
  return writeOnce(
    'correct',
    correctionInput,
    typed,
    ({ entryId }) => entryId,
    async (client, studio, entered) => {
      const { unit, ...correction } = entered
      const old = await getEntry(client, entered.pieceId, entered.corrects)
      if (old.kind === 'coat' && unit !== '' && unit !== old.coat.unit) throw new Refused('not-readable')
      const corrected = correctedEntry(old, correction)
      if (!corrected) throw new Refused('not-readable')
      await storeWithMaterial(client, studio.id, corrected)
    },
  )
}

export async function strikeEntry(typed: StrikeText): Promise<Answer> {
  return writeOnce(
    'strike',
    strikeInput,
    typed,
    ({ entryId }) => entryId,
    async (client, studio, { entryId, corrects, pieceId, at }) => {
      // what can't be changed back by a line of the log is not struck from it
      const { kind } = await getEntry(client, pieceId, corrects)
      if (kind === 'amended' || kind === 'split' || kind === 'put-by' || kind === 'struck') throw new Refused('not-readable')
      await store(client, studio.id, [{ id: entryId, kind: 'struck', pieceId, corrects, at }])
    },
  )
}
