/** Addresses of clients' pages that opened nothing: counted, and slowed. */
import 'server-only'
import { v7 as uuidv7 } from 'uuid'
import * as tries from '@/db/signInTry'
import { atDoor, readDoor } from './doorWay'

/** from one place within so many minutes, after which it has to wait */
const slow = { minutes: 15, most: 60 }

/** An address that opened nothing is counted by where it was asked from. */
export const noteNothingOpened = async (address: string): Promise<void> => {
  await atDoor((client) => tries.addTry(client, { id: uuidv7(), name: 'a client’s link', address }, slow.minutes))
}
/** Whether so many addresses from there opened nothing that it has to wait. */
export const isSlowed = async (address: string): Promise<boolean> =>
  (await readDoor((client) => tries.countFrom(client, address, slow.minutes), 0)) > slow.most
