/** Files of pieces to read from: what was read once is read again only when it has changed. */
import type { Kept } from '@/core/measure/kept'
import type { PieceId } from '@/core/measure/named'
import type { Piece, PieceFile } from '@/core/piece/piece'
import { listPieceFiles } from './piece'
import { listPieceMarks, type PieceMark } from './pieceMark'
import type { Client } from './pool'

/** Files in mind, each with the mark it was read under; by piece and by how much of it is seen. */
export type KeptFiles = Kept<string, { mark: string; file: PieceFile }>
const keyOf = (id: PieceId, { withMoney }: PieceMark) => `${id} ${withMoney}`

/** Nobody changes what others read too. */
function freeze<T>(thing: T): T {
  if (typeof thing !== 'object' || thing === null || Object.isFrozen(thing)) return thing
  Object.values(thing).forEach(freeze)
  return Object.freeze(thing)
}

/**
 * Whole files of the pieces given, in their order, out of `kept` where they stand as they stood. In a transaction that reads one moment:
 * there a file's mark and its rows agree.
 */
export async function readPieceFiles(client: Client, kept: KeptFiles, pieces: readonly Piece[]): Promise<PieceFile[]> {
  const marks = await listPieceMarks(
    client,
    pieces.map(({ id }) => id),
  )
  const files = new Map<PieceId, PieceFile>()
  for (const [id, mark] of marks) {
    const known = kept.get(keyOf(id, mark))
    if (known?.mark === mark.mark) files.set(id, known.file)
  }
  const unread = pieces.filter(({ id }) => !files.has(id))
  for (const file of await listPieceFiles(client, unread)) {
    const mark = marks.get(file.piece.id)
    if (mark) kept.set(keyOf(file.piece.id, mark), { mark: mark.mark, file: freeze(file) })
    files.set(file.piece.id, file)
  }
  return pieces.flatMap(({ id }) => files.get(id) ?? [])
}
