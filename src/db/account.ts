/** Who may come in, and into which studio, as what. Asked by the door's own role alone. */
import * as z from 'zod'
import { type Role, roles } from '@/core/house/roles'
import type { PersonId, StudioId } from '@/core/measure/named'
import type { Client } from './pool'
import { many, maybe, one, query } from './rows'
import { digestOfSecret } from './secret'

const role = z.enum(roles)
const accountRow = z.object({
  id: z.string(),
  name: z.string(),
  password: z.string().nullable(),
  /** the secret of an app that makes figures; null: none are asked for */
  secondFactor: z.string().nullable(),
})
const accountColumns = 'a.id, a.name, a.password, a.second_factor as "secondFactor"'
export type Account = z.output<typeof accountRow>
const accountByName = query('an account', accountRow, `select ${accountColumns} from door.account a where a.name_key = lower($1)`)
export const findAccount = (client: Client, name: string): Promise<Account | null> => maybe(client, accountByName, [name])

/** False where somebody signs in by that name already. */
export async function addAccount(
  client: Client,
  account: { id: string; name: string; password: string | null; isDemo?: boolean },
): Promise<boolean> {
  const { rowCount } = await client.query(
    'insert into door.account (id, name, password, is_demo) values ($1, $2, $3, $4) on conflict (name_key) do nothing',
    [account.id, account.name, account.password, account.isDemo ?? false],
  )
  return rowCount === 1
}

export interface NewMembership {
  id: string
  accountId: string
  studioId: StudioId
  personId: PersonId
  role: Role
}
/** False where that account, or those hands, come in already. */
export async function addMembership(
  client: Client,
  { id, accountId, studioId, personId, role: as }: NewMembership,
): Promise<boolean> {
  const { rowCount } = await client.query(
    `insert into door.membership (id, account_id, studio_id, person_id, role) values ($1, $2, $3, $4, $5)
     on conflict do nothing`,
    [id, accountId, studioId, personId, as],
  )
  return rowCount === 1
}
const handsBefore = query(
  'whose hands somebody were',
  z.object({ personId: z.string() }),
  `select m.person_id as "personId" from door.membership m
   where m.account_id = $1 and m.studio_id = $2
     and not exists (select from door.membership o where o.studio_id = $2 and o.person_id = m.person_id and o.ended_at is null)
   order by m.made_at desc, m.id limit 1`,
)
/** As whom somebody worked in a studio who came in no more; null for who never did, or whose hands are somebody else's now. */
export const findHandsBefore = async (client: Client, accountId: string, studioId: StudioId): Promise<PersonId | null> =>
  (await maybe(client, handsBefore, [accountId, studioId]))?.personId ?? null

const membershipRow = z.object({
  id: z.string(),
  accountId: z.string(),
  studioId: z.string(),
  studioName: z.string(),
  personId: z.string(),
  personName: z.string(),
  role,
})
export type Membership = z.output<typeof membershipRow>
const membershipColumns = `m.id, m.account_id as "accountId", m.studio_id as "studioId", s.name as "studioName",
  m.person_id as "personId", p.name as "personName", m.role`
const membershipTables = `door.membership m join studio s on s.id = m.studio_id
  join person p on p.studio_id = m.studio_id and p.id = m.person_id`
const membershipsOfAccount = query(
  'a membership',
  membershipRow,
  `select ${membershipColumns} from ${membershipTables} where m.account_id = $1 and m.ended_at is null
   order by (select max(e.made_at) from door.session e where e.membership_id = m.id) desc nulls last, m.made_at desc, m.id`,
)
/** The studios somebody belongs to, where they were last first. */
export const listMemberships = (client: Client, accountId: string): Promise<Membership[]> =>
  many(client, membershipsOfAccount, [accountId])
const demoMemberships = query(
  'a membership of the demo',
  membershipRow,
  `select ${membershipColumns} from ${membershipTables} join door.account a on a.id = m.account_id
   where a.is_demo and m.ended_at is null order by m.made_at, m.id limit 20`,
)
/** Who may come into the demo by one tap. */
export const listDemoMemberships = (client: Client): Promise<Membership[]> => many(client, demoMemberships)

const memberRow = z.object({
  personId: z.string(),
  accountName: z.string(),
  role,
  membershipId: z.string(),
  /** figures of an app are asked for */
  hasCodes: z.boolean(),
})
export type Member = z.output<typeof memberRow>
const membersOfStudio = query(
  'a member',
  memberRow,
  `select m.person_id as "personId", a.name as "accountName", m.role, m.id as "membershipId",
          a.second_factor is not null as "hasCodes"
   from door.membership m join door.account a on a.id = m.account_id where m.studio_id = $1 and m.ended_at is null
   order by m.made_at, m.id`,
)
export const listMembers = (client: Client, studioId: StudioId): Promise<Member[]> => many(client, membersOfStudio, [studioId])
/** How an update leaves a studio with an owner: all of them are held until it is done, in one order for everybody. */
const owners = `with owners as (
  select id from door.membership where studio_id = $1 and role = 'owner' and ended_at is null order by id for update)`
const whoMayGo = `id = $2 and studio_id = $1 and ended_at is null`
const anotherOwns = `(select count(*) from owners where id <> $2) > 0`

/** Somebody comes in no more; their sessions end with it. False where an owner would be the last, or there is none. */
export async function endMembership(client: Client, studioId: StudioId, membershipId: string): Promise<boolean> {
  const { rowCount } = await client.query(
    `${owners} update door.membership set ended_at = now() where ${whoMayGo} and (role <> 'owner' or ${anotherOwns})`,
    [studioId, membershipId],
  )
  if (rowCount === 1) await endSessionsOf(client, membershipId, true)
  return rowCount === 1
}
/**
 * Somebody is something else here from now on; where they were in as what they were, they sign in anew. False where that would leave no
 * owner, or there is no such member.
 */
export async function changeRole(client: Client, studioId: StudioId, membershipId: string, to: Role): Promise<boolean> {
  const { rowCount } = await client.query(
    `${owners} update door.membership set role = $3 where ${whoMayGo} and (role <> 'owner' or $3 = 'owner' or ${anotherOwns})`,
    [studioId, membershipId, to],
  )
  if (rowCount === 1) await endSessionsOf(client, membershipId, false)
  return rowCount === 1
}
const memberOf = query(
  'a member',
  z.object({ id: z.string() }),
  'select id from door.membership where studio_id = $1 and id = $2 and ended_at is null',
)
export const isMember = async (client: Client, studioId: StudioId, membershipId: string): Promise<boolean> =>
  (await maybe(client, memberOf, [studioId, membershipId])) !== null
async function endSessionsOf(client: Client, membershipId: string, revoked: boolean): Promise<void> {
  await client.query('update door.session set ended_at = now(), is_revoked = $2 where membership_id = $1 and ended_at is null', [
    membershipId,
    revoked,
  ])
}

const ownPassword = query('an account', accountRow, `select ${accountColumns} from door.account a where a.id = $1`)
export const getAccount = (client: Client, id: string): Promise<Account> => one(client, ownPassword, [id])
/** Another password; every session but the one named ends. */
export async function setPassword(
  client: Client,
  accountId: string,
  password: string,
  keptSession: string | null,
): Promise<void> {
  await client.query('update door.account set password = $2 where id = $1', [accountId, password])
  await client.query(
    `update door.session e set ended_at = now() from door.membership m
     where m.id = e.membership_id and m.account_id = $1 and e.ended_at is null and e.id is distinct from $2`,
    [accountId, keptSession],
  )
}

/** A way to a new password for an account; those that were made before open nothing any more. */
export async function addPasswordKey(client: Client, accountId: string, secret: string, hours: number): Promise<void> {
  await client.query('update door.password_key set used_at = now() where account_id = $1 and used_at is null', [accountId])
  await client.query(
    'insert into door.password_key (digest, account_id, expires_at) values ($1, $2, now() + make_interval(hours => $3))',
    [digestOfSecret(secret), accountId, hours],
  )
}
const accountByKey = query(
  'an account',
  accountRow,
  `select ${accountColumns} from door.password_key k join door.account a on a.id = k.account_id
   where k.digest = $1 and k.used_at is null and k.expires_at > now()`,
)
/** Whose new password an address leads to; null where it was used, is over or never was. */
export const findByPasswordKey = (client: Client, secret: string): Promise<Account | null> =>
  maybe(client, accountByKey, [digestOfSecret(secret)])
/** Takes the address up, by whoever is first; false for everybody else. */
export async function usePasswordKey(client: Client, secret: string): Promise<boolean> {
  const { rowCount } = await client.query(
    'update door.password_key set used_at = now() where digest = $1 and used_at is null and expires_at > now()',
    [digestOfSecret(secret)],
  )
  return rowCount === 1
}
/** The account of somebody who comes into this studio and no other; null for anybody else, for that is not its owner's to change. */
export async function findOwnMember(client: Client, studioId: StudioId, membershipId: string): Promise<Account | null> {
  return maybe(client, ownMember, [membershipId, studioId])
}
const ownMember = query(
  'an account',
  accountRow,
  `select ${accountColumns} from door.membership m join door.account a on a.id = m.account_id
   where m.id = $1 and m.studio_id = $2 and m.ended_at is null and not a.is_demo
     and not exists (select from door.membership o where o.account_id = a.id and o.studio_id <> $2)`,
)
