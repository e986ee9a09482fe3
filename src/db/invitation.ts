/** Links by which people come into a studio: made by its owner, taken up at the door. */
import * as z from 'zod'
import { type Role, roles } from '@/core/house/roles'
import type { Instant, PersonId, StudioId } from '@/core/measure/named'
import type { Client } from './pool'
import { many, maybe, query } from './rows'
import { digestOfSecret } from './secret'

const role = z.enum(roles)
const invitationRow = z.object({
  id: z.string(),
  studioId: z.string(),
  studioName: z.string(),
  role,
  personId: z.string().nullable(),
  personName: z.string().nullable(),
})
export type Invited = z.output<typeof invitationRow>
const invitationByDigest = query(
  'an invitation',
  invitationRow,
  `select i.id, i.studio_id as "studioId", s.name as "studioName", i.role, i.person_id as "personId", p.name as "personName"
   from invitation i join studio s on s.id = i.studio_id
   left join person p on p.studio_id = i.studio_id and p.id = i.person_id
   where i.digest = $1 and i.used_at is null and i.revoked_at is null and i.expires_at > now()
     and not exists (select from door.membership m
                     where m.studio_id = i.studio_id and m.person_id = i.person_id and m.ended_at is null)`,
)
/** What a link invites to; null where it was used, revoked, is over, never was, or whose hands come in already. */
export const findInvited = (client: Client, secret: string): Promise<Invited | null> =>
  maybe(client, invitationByDigest, [digestOfSecret(secret)])
/** Takes an invitation up, by whoever is first; false for everybody else. */
export async function useInvitation(client: Client, id: string): Promise<boolean> {
  const { rowCount } = await client.query(
    'update invitation set used_at = now() where id = $1 and used_at is null and revoked_at is null and expires_at > now()',
    [id],
  )
  return rowCount === 1
}
export async function addPersonAtDoor(client: Client, studioId: StudioId, id: PersonId, name: string): Promise<void> {
  await client.query('insert into person (id, studio_id, name) values ($1, $2, $3)', [id, studioId, name])
}

export interface NewInvitation {
  id: string
  secret: string
  role: Role
  personId: PersonId | null
  hours: number
}
/** By the owner of a studio, or by the starter where nobody owns it yet. */
export async function addInvitation(client: Client, studioId: StudioId, invitation: NewInvitation): Promise<void> {
  await client.query(
    `insert into invitation (id, studio_id, digest, role, person_id, expires_at)
     values ($1, $2, $3, $4, $5, now() + make_interval(hours => $6))`,
    [invitation.id, studioId, digestOfSecret(invitation.secret), invitation.role, invitation.personId, invitation.hours],
  )
}
const openInvitationRow = z.object({
  id: z.string(),
  role,
  personId: z.string().nullable(),
  madeAt: z.string(),
  expiresAt: z.string(),
})
export type OpenInvitation = z.output<typeof openInvitationRow>
const openInvitations = query(
  'an open invitation',
  openInvitationRow,
  `select id, role, person_id as "personId", made_at as "madeAt", expires_at as "expiresAt" from invitation
   where used_at is null and revoked_at is null and expires_at > now() order by made_at, id limit 50`,
)
export const listInvitations = (client: Client): Promise<OpenInvitation[]> => many(client, openInvitations)
export async function revokeInvitation(client: Client, id: string, at: Instant): Promise<void> {
  await client.query('update invitation set revoked_at = $2 where id = $1 and revoked_at is null', [id, at])
}
