/** Files of pieces, kept in this server's mind. */
import 'server-only'
import { makeKept } from '@/core/measure/kept'
import type { PieceId } from '@/core/measure/named'
import type { Piece, PieceFile } from '@/core/piece/piece'
import { findPiece } from '@/db/piece'
import { type KeptFiles, readPieceFiles as readFiles } from '@/db/pieceFiles'
import type { Client } from '@/db/pool'

/** a file is some hundred lines */
const mostFiles = 400
const holder = globalThis as { itinerumFiles?: KeptFiles }
const kept = (holder.itinerumFiles ??= makeKept(mostFiles))

/** Whole files of the pieces given, in their order; to read from, in a transaction of `readStudio`. */
export const readPieceFiles = (client: Client, pieces: readonly Piece[]): Promise<PieceFile[]> => readFiles(client, kept, pieces)

export async function readPieceFile(client: Client, id: PieceId): Promise<PieceFile | null> {
  const piece = await findPiece(client, id)
  if (!piece) return null
  const [file] = await readPieceFiles(client, [piece])
  return file ?? null
}
