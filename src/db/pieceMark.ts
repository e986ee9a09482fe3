/** What the file of a piece is known by as it stands: whoever read it under the same mark has it whole. */
import { z } from 'zod'
import type { PieceId } from '@/core/measure/named'
import type { Client } from './pool'
import { many, query } from './rows'

const markRow = z.object({ id: z.string(), mark: z.string(), withMoney: z.boolean() })
const marks = query(
  'the mark of a piece',
  markRow,
  'select piece_id as id, mark, with_money as "withMoney" from piece_marks($1)',
)
/** Another mark after every change; who sees no money reads another file under it. */
export type PieceMark = Omit<z.output<typeof markRow>, 'id'>
/** The marks of the pieces given, for whoever asks; none of those that are read by rules of their own, as by a client's link. */
export const listPieceMarks = async (client: Client, ids: readonly PieceId[]): Promise<Map<PieceId, PieceMark>> =>
  new Map((await many(client, marks, [ids])).map(({ id, ...mark }) => [id, mark]))
