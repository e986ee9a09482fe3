/** Addresses of clients' pages that opened nothing: counted, and slowed. */
import 'server-only'
import { v7 as uuidv7 } from 'uuid'
import { findOwnLink } from '@/db/clientPage'
import { inSession, SignedOut } from '@/db/pool'
import * as tries from '@/db/signInTry'
import { atDoor, readDoor } from './doorWay'
import { pool } from './session'

/** from one place within so many minutes, after which it has to wait */
const slow = { minutes: 15, most: 60 }

/** An address that opened nothing is counted by where it was asked from. */
export const noteNothingOpened = async (address: string): Promise<void> => {
  await atDoor((client) => tries.addLinkTry(client, { id: uuidv7(), address }))
}
const opens = (secret: string): Promise<boolean> =>
  inSession(pool(), secret, async (client) => (await findOwnLink(client)) !== null).catch((error: unknown) => {
    if (error instanceof SignedOut) return false
    throw error
  })
/** Whether so many addresses from there opened nothing that it has to wait; a link that is good opens all the same. */
export const isSlowed = async (address: string, secret: string): Promise<boolean> =>
  (await readDoor((client) => tries.countLinkTries(client, address, slow.minutes), 0)) > slow.most && !(await opens(secret))
