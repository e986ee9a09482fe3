/** A client's page of their piece: what it shows, the links that lead to it, and what is said there. */
import * as z from 'zod'
import { type ClientLanguage, clientLanguages, type ClientShows, clientShows } from '@/core/house/clientPage'
import type { Instant, PhotoId, PieceId, StudioId } from '@/core/measure/named'
import type { Client } from './pool'
import { many, maybe, one, query } from './rows'
import { digestOfSecret } from './secret'

const pageRow = z.object({
  shows: z.array(z.enum(clientShows)),
  language: z.enum(clientLanguages),
  photoIds: z.array(z.string()),
})
export type ClientPage = z.output<typeof pageRow>
const pageOf = query(
  "a client's page",
  pageRow,
  `select c.shows, c.language,
          array(select f.photo_id::text from client_photo f where f.piece_id = c.piece_id and f.is_shown order by f.photo_id) as "photoIds"
   from client_page c where c.piece_id = $1`,
)
/** What the page of a piece shows; null where nothing was chosen yet. */
export const findClientPage = (client: Client, pieceId: PieceId): Promise<ClientPage | null> => maybe(client, pageOf, [pieceId])

export async function saveClientPage(
  client: Client,
  studioId: StudioId,
  pieceId: PieceId,
  { shows, language, photoIds }: { shows: readonly ClientShows[]; language: ClientLanguage; photoIds: readonly PhotoId[] },
): Promise<void> {
  await client.query(
    `insert into client_page (piece_id, studio_id, shows, language) values ($1, $2, $3, $4)
     on conflict (piece_id) do update set shows = excluded.shows, language = excluded.language`,
    [pieceId, studioId, shows, language],
  )
  await client.query('update client_photo set is_shown = photo_id = any ($2::uuid[]) where piece_id = $1', [pieceId, photoIds])
  await client.query(
    `insert into client_photo (photo_id, studio_id, piece_id) select each, $2, $1 from unnest($3::uuid[]) as each
     on conflict (photo_id) do nothing`,
    [pieceId, studioId, photoIds],
  )
}

/** A link that opens the page until a day. */
export async function addClientLink(
  client: Client,
  studioId: StudioId,
  link: { id: string; pieceId: PieceId; secret: string; days: number },
): Promise<void> {
  await client.query(
    `insert into client_link (id, studio_id, piece_id, digest, expires_at) values ($1, $2, $3, $4, now() + make_interval(days => $5))`,
    [link.id, studioId, link.pieceId, digestOfSecret(link.secret), link.days],
  )
}
export async function revokeClientLink(client: Client, id: string, at: Instant): Promise<void> {
  await client.query('update client_link set revoked_at = $2 where id = $1 and revoked_at is null', [id, at])
}
const linkRow = z.object({
  id: z.string(),
  madeAt: z.string(),
  expiresAt: z.string(),
  opened: z.number(),
  openedAt: z.string().nullable(),
})
export type ClientLink = z.output<typeof linkRow>
const openLinks = query(
  "a client's link",
  linkRow,
  `select id, made_at as "madeAt", expires_at as "expiresAt", opened, opened_at as "openedAt" from client_link
   where piece_id = $1 and revoked_at is null and expires_at > now() order by made_at, id limit 50`,
)
export const listClientLinks = (client: Client, pieceId: PieceId): Promise<ClientLink[]> => many(client, openLinks, [pieceId])

const linkedRow = z.object({ pieceName: z.string(), language: z.enum(clientLanguages) })
const linkBySecret = query(
  "a client's link",
  linkedRow,
  `select p.name as "pieceName", coalesce(c.language, 'en') as language
   from client_link l join piece p on p.id = l.piece_id left join client_page c on c.piece_id = l.piece_id
   where l.digest = $1 and l.revoked_at is null and l.expires_at > now()`,
)
/** To which of the studio's own pieces a link leads; null where it leads nowhere any more. */
export const findLinkBySecret = (client: Client, secret: string): Promise<z.output<typeof linkedRow> | null> =>
  maybe(client, linkBySecret, [digestOfSecret(secret)])

const wordRow = z.object({ id: z.string(), at: z.string(), personId: z.string().nullable(), words: z.string() })
/** What was said; `personId` null: by the client. */
export type ClientWord = z.output<typeof wordRow>
const wordsOf = query(
  'what a client and the studio said',
  wordRow,
  `select * from (select id, at, person_id as "personId", words from client_word where piece_id = $1 order by at desc, id desc limit $2) newest
   order by at, id`,
)
/** The newest, in the order they were said. */
export const listClientWords = (client: Client, pieceId: PieceId, most = 200): Promise<ClientWord[]> =>
  many(client, wordsOf, [pieceId, most])
const saidToday = query(
  'how much a client asked',
  z.object({ count: z.number() }),
  `select count(*)::int as count from client_word where piece_id = $1 and person_id is null and at > now() - interval '1 day'`,
)
export const countAsked = async (client: Client, pieceId: PieceId): Promise<number> =>
  (await one(client, saidToday, [pieceId])).count
/** Until the transaction ends nobody else asks about this piece: what is counted stays so until it is written. */
export async function oneQuestionAtATime(client: Client, pieceId: PieceId): Promise<void> {
  await client.query(`select pg_advisory_xact_lock(hashtextextended('a question of ' || $1, 0))`, [pieceId])
}
/** By whoever's session it is; by a client's link, the client. Under a number of the sender's own: sent twice it is kept once. */
export async function addClientWord(
  client: Client,
  studioId: StudioId,
  word: { id: string; pieceId: PieceId; words: string },
): Promise<void> {
  await client.query(
    'insert into client_word (id, studio_id, piece_id, words) values ($1, $2, $3, $4) on conflict (id) do nothing',
    [word.id, studioId, word.pieceId, word.words],
  )
}
const waiting = query(
  'a piece whose client waits for an answer',
  z.object({ pieceId: z.string(), name: z.string(), words: z.string(), at: z.string() }),
  `select w.piece_id as "pieceId", p.name, w.words, w.at
   from (select distinct on (piece_id) piece_id, person_id, words, at from client_word order by piece_id, at desc, id desc) w
   join piece p on p.id = w.piece_id where w.person_id is null order by w.at limit 20`,
)
/** The pieces whose client had the last word, the longest waiting first. */
export const listUnanswered = (client: Client) => many(client, waiting)

const ownLink = query(
  "a client's own link",
  z.object({ pieceId: z.string(), until: z.string() }),
  'select l.piece_id as "pieceId", l.expires_at as until from current_link() l where l.id is not null',
)
/** The piece of the link that a transaction works by, and until when it is good; null for anybody else's. */
export const findOwnLink = (client: Client): Promise<{ pieceId: PieceId; until: Instant } | null> => maybe(client, ownLink)
export async function noteOpening(client: Client): Promise<void> {
  await client.query('select note_opening()')
}
