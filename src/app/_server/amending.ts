/** A piece's facts put right, and in its log what they were. */
import 'server-only'
import { changeOf } from '@/core/log/change'
import type { EntryId, PieceId, StudioId } from '@/core/measure/named'
import { findPiece } from '@/db/piece'
import { changePiece, type PieceFacts } from '@/db/pieceWrite'
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
