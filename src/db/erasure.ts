/** What is known of a client, erased though the log only grows: no figure of it changes. */
import * as z from 'zod'
import type { PieceId } from '@/core/measure/named'
import type { Client } from './pool'
import { one, query } from './rows'

const erasedRow = z.object({ pieces: z.number(), asked: z.number(), places: z.number() })
const erase = query('what was erased', erasedRow, 'select pieces, asked, places from erase_client($1, $2)')
/**
 * Erases the name of a piece's client from every piece of theirs in this studio, what they asked, their links, and `words` wherever
 * they stand in what was written freely about those pieces. By an owner; anybody else is refused.
 */
export const eraseClient = (client: Client, pieceId: PieceId, words: readonly string[]): Promise<z.output<typeof erasedRow>> =>
  one(client, erase, [pieceId, words])

const known = query(
  'what is known of a client',
  z.object({ pieces: z.number(), asked: z.number(), links: z.number() }),
  `with theirs as (select p.id from piece p, piece this
                   where this.id = $1 and (p.id = this.id or lower(btrim(p.client)) = lower(btrim(this.client))))
   select (select count(*)::int from theirs) as pieces,
          (select count(*)::int from client_word where piece_id in (select id from theirs) and person_id is null) as asked,
          (select count(*)::int from client_link where piece_id in (select id from theirs) and revoked_at is null) as links`,
)
/** Of how many pieces, questions and links an erasure takes the client. */
export const findKnownOfClient = (client: Client, pieceId: PieceId) => one(client, known, [pieceId])
