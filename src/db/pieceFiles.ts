/** Files of pieces to read from: what was read once is read again only when it has changed. */
import type { Piece, PieceFile } from '@/core/piece/piece'
import { listPieceFiles } from './piece'
import { type KeptOfPieces, listPieceMarks, readByMarks } from './pieceMark'
import type { Client } from './pool'

/** Whole files of the pieces given, in their order, out of `kept` where they stand as they stood; see {@link readByMarks}. */
export async function readPieceFiles(
  client: Client,
  kept: KeptOfPieces<PieceFile>,
  pieces: readonly Piece[],
  marks = listPieceMarks(
    client,
    pieces.map(({ id }) => id),
  ),
): Promise<PieceFile[]> {
  const files = await readByMarks(
    await marks,
    kept,
    pieces.map(({ id }) => id),
    async (ids) => {
      const unread = new Set(ids)
      const read = await listPieceFiles(
        client,
        pieces.filter(({ id }) => unread.has(id)),
      )
      return new Map(read.map((file) => [file.piece.id, file]))
    },
  )
  return pieces.flatMap(({ id }) => files.get(id) ?? [])
}
