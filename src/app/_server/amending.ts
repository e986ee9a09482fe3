/** A piece's facts put right, and in its log what they were. */
import 'server-only'
import { changeOf } from '@/core/log/change'
import type { Day, EntryId, PieceId, StudioId } from '@/core/measure/named'
import type { NewEntry } from '@/db/entry'
import { findPiece, findPieces } from '@/db/piece'
import { changePiece, type PieceFacts, promisePieces } from '@/db/pieceWrite'
import type { Client } from '@/db/pool'
import { store } from './store'
import { Refused } from './write'

const amendable = [
  'name',
  'source',
  'sourceNote',
  'client',
  'promisedOn',
  'expected',
  'condition',
  'roomId',
  'article',
] as const satisfies (keyof PieceFacts)[]

/** Facts that are not given stay as they are; nothing is written where nothing changes. Throws {@link Refused} where the piece is not there. */
export async function amendFacts(
  client: Client,
  studioId: StudioId,
  { pieceId, entryId, facts }: { pieceId: PieceId; entryId: EntryId; facts: Partial<PieceFacts> },
): Promise<void> {
  const before = await findPiece(client, pieceId)
  if (!before) throw new Refused('not-found')
  const { id: _, takenInAt: __, ...known } = before
  const after = { ...known, ...facts }
  const detail = changeOf(amendable, before, after)
  if (Object.keys(detail).length === 0) return
  await changePiece(client, pieceId, after)
  await store(client, studioId, [{ id: entryId, pieceId, kind: 'amended', at: new Date().toISOString(), detail }])
}

/** Pieces promised for other days. Throws {@link Refused} where one is not there. */
export async function promiseAnew(
  client: Client,
  studioId: StudioId,
  promises: readonly { pieceId: PieceId; entryId: EntryId; day: Day }[],
): Promise<void> {
  if (promises.length === 0) return
  const before = new Map(
    (
      await findPieces(
        client,
        promises.map(({ pieceId }) => pieceId),
      )
    ).map((piece) => [piece.id, piece]),
  )
  const entries = promises.flatMap(({ pieceId, entryId, day }): NewEntry[] => {
    const piece = before.get(pieceId)
    if (!piece) throw new Refused('not-found')
    const detail = changeOf(['promisedOn'], piece, { promisedOn: day })
    return Object.keys(detail).length > 0 ? [{ id: entryId, pieceId, kind: 'amended', at: new Date().toISOString(), detail }] : []
  })
  await promisePieces(client, promises)
  if (entries.length > 0) await store(client, studioId, entries)
}
