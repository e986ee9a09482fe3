/** Files of pieces, kept in this server's mind. */
import 'server-only'
import type { PieceId } from '@/core/measure/named'
import type { Piece, PieceFile } from '@/core/piece/piece'
import { findPiece, listOpenPieces } from '@/db/piece'
import { readPieceFiles as readFiles } from '@/db/pieceFiles'
import { keepOfPieces, type KeptOfPieces, listOpenMarks, listPieceMarks } from '@/db/pieceMark'
import type { Client } from '@/db/pool'

/** a file is some hundred lines */
const mostFiles = 400
const holder = globalThis as { itinerumFiles?: KeptOfPieces<PieceFile> }
const kept = (holder.itinerumFiles ??= keepOfPieces(mostFiles))

/** Whole files of the pieces given, in their order; to read from, in a transaction of `readStudio`. */
export const readPieceFiles = (client: Client, pieces: readonly Piece[]): Promise<PieceFile[]> => readFiles(client, kept, pieces)

/** Of every piece in the workshop. */
export async function readOpenFiles(client: Client): Promise<PieceFile[]> {
  const marks = listOpenMarks(client)
  const [pieces] = await Promise.all([listOpenPieces(client), marks])
  return readFiles(client, kept, pieces, marks)
}

export async function readPieceFile(client: Client, id: PieceId): Promise<PieceFile | null> {
  const marks = listPieceMarks(client, [id])
  const [piece] = await Promise.all([findPiece(client, id), marks])
  if (!piece) return null
  const [file] = await readFiles(client, kept, [piece], marks)
  return file ?? null
}
