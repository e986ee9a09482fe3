/** A phone brought in by whoever is in already. Asked by the door's own role alone. */
import * as z from 'zod'
import type { Client } from './pool'
import { maybe, query } from './rows'
import { digestOfSecret } from './secret'

/** The newest alone opens: whoever makes another one has done with the one before. */
export async function addPairing(client: Client, membershipId: string, secret: string, seconds: number): Promise<void> {
  await client.query('update door.pairing set used_at = now() where membership_id = $1 and used_at is null', [membershipId])
  await client.query(
    'insert into door.pairing (digest, membership_id, expires_at) values ($1, $2, now() + make_interval(secs => $3))',
    [digestOfSecret(secret), membershipId, seconds],
  )
}
const pairedRow = z.object({ id: z.string(), studioId: z.string(), studioName: z.string(), personName: z.string() })
export type Paired = z.output<typeof pairedRow>
const pairedBy = query(
  'whom a phone comes in as',
  pairedRow,
  `select m.id, m.studio_id as "studioId", s.name as "studioName", p.name as "personName"
   from door.pairing g join door.membership m on m.id = g.membership_id join studio s on s.id = m.studio_id
   join person p on p.studio_id = m.studio_id and p.id = m.person_id
   where g.digest = $1 and g.used_at is null and g.expires_at > now() and m.ended_at is null`,
)
/** As whom a phone comes in by it; null where it was used, is over or never was. */
export const findPairing = (client: Client, secret: string): Promise<Paired | null> =>
  maybe(client, pairedBy, [digestOfSecret(secret)])
/** Takes it up, by whoever is first; false for everybody else. */
export async function takePairing(client: Client, secret: string): Promise<boolean> {
  const { rowCount } = await client.query(
    'update door.pairing set used_at = now() where digest = $1 and used_at is null and expires_at > now()',
    [digestOfSecret(secret)],
  )
  return rowCount === 1
}
