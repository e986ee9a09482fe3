/** Who comes into a studio, as its owner changes it. */
import 'server-only'
import type { Role } from '@/core/house/roles'
import * as accounts from '@/db/account'
import type { Client } from '@/db/pool'
import type { Session } from '@/db/session'
import { atDoor, readDoor } from './doorWay'

export const listMembers = (session: Session): Promise<accounts.Member[]> =>
  readDoor((client) => accounts.listMembers(client, session.studioId))
/** Whether it was done; else why not: nobody would own the studio, or there is no such member any more. */
type Changed = 'done' | 'last-owner' | 'not-found'
const aboutMember = (
  { studioId }: Session,
  membershipId: string,
  change: (client: Client) => Promise<boolean>,
): Promise<Changed> =>
  atDoor(async (client) => {
    if (await change(client)) return 'done'
    return (await accounts.isMember(client, studioId, membershipId)) ? 'last-owner' : 'not-found'
  })
/** Somebody is something else here from now on. */
export const changeRole = (session: Session, membershipId: string, role: Role): Promise<Changed> =>
  aboutMember(session, membershipId, (client) => accounts.changeRole(client, session.studioId, membershipId, role))
/** Somebody comes in no more. */
export const sendAway = (session: Session, membershipId: string): Promise<Changed> =>
  aboutMember(session, membershipId, (client) => accounts.endMembership(client, session.studioId, membershipId))
