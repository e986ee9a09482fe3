/** What a piece is known by as it stands in the records: whoever read something of it under the same mark need not read it again. */
import * as z from 'zod'
import { type Kept, makeKept } from '@/core/measure/kept'
import type { PieceId } from '@/core/measure/named'
import type { Client } from './pool'
import { many, query } from './rows'

const markRow = z.object({ id: z.string(), mark: z.string(), withMoney: z.boolean() })
const marks = query('the mark of a piece', markRow, 'select piece_id as id, mark, with_money as "withMoney" from piece_marks($1)')
const openMarks = query(
  'the mark of a piece',
  markRow,
  `select piece_id as id, mark, with_money as "withMoney"
   from piece_marks(array(select id from piece where ended_at is null))`,
)
/** Another mark after every change; who sees no money reads another file under it. */
export type PieceMark = Omit<z.output<typeof markRow>, 'id'>
const byPiece = (rows: readonly z.output<typeof markRow>[]): Map<PieceId, PieceMark> =>
  new Map(rows.map(({ id, ...mark }) => [id, mark]))
/** The marks of the pieces given, for whoever asks; none of those that are read by rules of their own, as by a client's link. */
export const listPieceMarks = async (client: Client, ids: readonly PieceId[]): Promise<Map<PieceId, PieceMark>> =>
  byPiece(await many(client, marks, [ids]))
/** The same of every piece in the workshop. */
export const listOpenMarks = async (client: Client): Promise<Map<PieceId, PieceMark>> => byPiece(await many(client, openMarks))

/** What was read of pieces, each with the mark it was read under; by piece and by how much of it is seen. */
export type KeptOfPieces<T extends object> = Kept<string, { mark: string; read: T }>
/** Of so many pieces at most. */
export const keepOfPieces = <T extends object>(most: number): KeptOfPieces<T> => makeKept(most)
const keyOf = (id: PieceId, { withMoney }: PieceMark) => `${id} ${withMoney}`

/** Nobody changes what others read too. */
function freeze<T>(thing: T): T {
  if (typeof thing !== 'object' || thing === null || Object.isFrozen(thing)) return thing
  Object.values(thing).forEach(freeze)
  return Object.freeze(thing)
}

/**
 * What is read of pieces by `read`, by their ids: out of `kept` where a piece stands as it stood. In a transaction that reads one moment:
 * there a mark and what is read under it agree. `marksNow`: theirs, see {@link listPieceMarks}. `stands`: what is kept may hang on more
 * than the piece.
 */
export async function readByMarks<T extends object>(
  marksNow: ReadonlyMap<PieceId, PieceMark>,
  kept: KeptOfPieces<T>,
  ids: readonly PieceId[],
  read: (ids: readonly PieceId[]) => Promise<ReadonlyMap<PieceId, T>>,
  stands: (id: PieceId, read: T) => boolean = () => true,
): Promise<Map<PieceId, T>> {
  const all = new Map<PieceId, T>()
  for (const [id, mark] of marksNow) {
    const known = kept.get(keyOf(id, mark))
    if (known?.mark === mark.mark && stands(id, known.read)) all.set(id, known.read)
  }
  const unread = ids.filter((id) => !all.has(id))
  if (unread.length === 0) return all
  for (const [id, found] of await read(unread)) {
    const mark = marksNow.get(id)
    if (mark) kept.set(keyOf(id, mark), { mark: mark.mark, read: freeze(found) })
    all.set(id, found)
  }
  return all
}
