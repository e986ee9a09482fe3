/** Sessions: somebody's sign-in on one device, or a machine's key. Asked by the door's own role alone. */
import * as z from 'zod'
import { roles } from '@/core/house/roles'
import type { StudioId } from '@/core/measure/named'
import type { Client } from './pool'
import { many, maybe, query } from './rows'
import { digestOfSecret } from './secret'

const sessionRow = z.object({
  id: z.string(),
  membershipId: z.string(),
  accountId: z.string(),
  accountName: z.string(),
  studioId: z.string(),
  personId: z.string(),
  personName: z.string(),
  role: z.enum(roles),
  isDemo: z.boolean(),
  isOpen: z.boolean(),
  /** it would be open, had they the code that this studio asks of everybody */
  lacksCode: z.boolean(),
  isRevoked: z.boolean(),
  isStale: z.boolean(),
  /** by which of its secrets it was asked for: the one that stands, the next one, or the one before */
  knownBy: z.enum(['now', 'next', 'before']),
  /** its secret is so old that the next one is due */
  isDue: z.boolean(),
  /** two came by it */
  isCopied: z.boolean(),
  /** somebody comes with the secret before, long after another took up the next: it is to be ended */
  isReplayed: z.boolean(),
  /** seconds it may still stand */
  left: z.number(),
})
export type Session = z.output<typeof sessionRow>
/** seen so long ago, it is noted anew */
const staleMinutes = 5
const sessionByDigest = query(
  'a session',
  sessionRow,
  `select e.id, m.id as "membershipId", a.id as "accountId", a.name as "accountName", e.studio_id as "studioId",
          m.person_id as "personId", p.name as "personName", m.role, a.is_demo as "isDemo",
          stands.up and not lacks.code as "isOpen", stands.up and lacks.code as "lacksCode", e.is_revoked as "isRevoked",
          e.seen_at < now() - make_interval(mins => $2) as "isStale",
          case $1 when e.digest then 'now' when e.next_digest then 'next' else 'before' end as "knownBy",
          e.renewed_at < now() - door.renewal() as "isDue", e.is_copied as "isCopied",
          replayed.is and door.stands(e) as "isReplayed",
          greatest(0, floor(extract(epoch from e.expires_at - now())))::int as left
   from door.by_digest($1) e join door.membership m on m.id = e.membership_id join door.account a on a.id = m.account_id
   join person p on p.studio_id = m.studio_id and p.id = m.person_id
   left join door.house_rule r on r.studio_id = e.studio_id
   cross join lateral (select e.last_digest is not distinct from $1 and e.renewed_at <= now() - door.overlap() as is) replayed
   cross join lateral (select door.stands(e) and not replayed.is as up) stands
   cross join lateral (select coalesce(r.asks_codes, false) and a.second_factor is null and not a.is_demo as code) lacks
   where e.key_name is null`,
)
/** A person's session, open or ended; null where there never was one. */
export const findSession = (client: Client, secret: string): Promise<Session | null> =>
  maybe(client, sessionByDigest, [digestOfSecret(secret), staleMinutes])
export async function noteSeen(client: Client, id: string): Promise<void> {
  await client.query('update door.session set seen_at = now() where id = $1', [id])
}

/** Whether a session still stands, by its id: for what goes on longer than a secret does. */
const sessionStands = query(
  'whether a session stands',
  z.object({ stands: z.boolean(), isStale: z.boolean() }),
  `select door.stands(e) as stands, e.seen_at < now() - make_interval(mins => $2) as "isStale" from door.session e where e.id = $1`,
)
export const findStanding = (client: Client, id: string): Promise<{ stands: boolean; isStale: boolean } | null> =>
  maybe(client, sessionStands, [id, staleMinutes])

/** The next secret is known beside the one that stands; false where another is, or the session is over. */
export async function offerNext(client: Client, id: string, secret: string, next: string): Promise<boolean> {
  const { rowCount } = await client.query(
    `update door.session e set next_digest = $3 where id = $1 and digest = $2 and door.stands(e)`,
    [id, digestOfSecret(secret), digestOfSecret(next)],
  )
  return rowCount === 1
}
/** Its browser came with the next secret: from now on that is the one. */
export async function takeUpNext(client: Client, id: string, secret: string): Promise<void> {
  await client.query(
    `update door.session set last_digest = digest, digest = next_digest, next_digest = null, renewed_at = now(), seen_at = now()
     where id = $1 and next_digest = $2`,
    [id, digestOfSecret(secret)],
  )
}
/** Two came by it: nobody does any more. */
export async function endCopied(client: Client, id: string): Promise<void> {
  await client.query('update door.session set ended_at = now(), is_copied = true where id = $1 and ended_at is null', [id])
}

export interface NewSession {
  id: string
  secret: string
  studioId: StudioId
  /** null: a machine's key */
  membershipId: string | null
  days: number
  agent?: string
  address?: string
}
export async function openSession(client: Client, session: NewSession): Promise<void> {
  const { id, secret, studioId, membershipId, days, agent = null, address = null } = session
  await client.query(
    `insert into door.session (digest, id, studio_id, membership_id, expires_at, agent, address)
     values ($1, $2, $3, $4, now() + make_interval(days => $5), $6, $7)`,
    [digestOfSecret(secret), id, studioId, membershipId, days, agent?.slice(0, 400) ?? null, address],
  )
}
/** Ends sessions of one account, by their ids; `revoked` where it is done from another device. */
export async function endSessions(
  client: Client,
  { accountId, ids, revoked }: { accountId: string; ids: readonly string[]; revoked: boolean },
): Promise<number> {
  const { rowCount } = await client.query(
    `update door.session e set ended_at = now(), is_revoked = $3 from door.membership m
     where m.id = e.membership_id and m.account_id = $1 and e.id = any($2) and e.ended_at is null`,
    [accountId, ids, revoked],
  )
  return rowCount ?? 0
}
const openSessionRow = z.object({
  id: z.string(),
  madeAt: z.string(),
  seenAt: z.string(),
  agent: z.string().nullable(),
  address: z.string().nullable(),
})
export type OpenSession = z.output<typeof openSessionRow>
const sessionsOfAccount = query(
  'a session',
  openSessionRow,
  `select e.id, e.made_at as "madeAt", e.seen_at as "seenAt", e.agent, e.address
   from door.session e join door.membership m on m.id = e.membership_id
   where m.account_id = $1 and e.key_name is null and door.stands(e)
   order by e.seen_at desc, e.id limit 50`,
)
export const listSessions = (client: Client, accountId: string): Promise<OpenSession[]> =>
  many(client, sessionsOfAccount, [accountId])
