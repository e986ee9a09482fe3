/** Passwords at the door: how they are kept, whether one fits, and how fast they may be guessed. */
import 'server-only'
import { hash, type Options, verify } from '@node-rs/argon2'
import type { Account } from '@/db/account'
import * as tries from '@/db/signInTry'
import { atDoor } from './doorWay'
import { inTurns } from './turns'

/** what the password-hashing guidance of the day asks for at least: 19 MiB, two passes, one lane */
const argon: Options = { memoryCost: 19_456, timeCost: 2, parallelism: 1 }
/** each takes its memory: so many at once, and so many may wait */
const hashing = inTurns(4, 40)
/** a password that nobody has, worked for names that nobody bears: a wrong name takes as long as a wrong password */
const nobody = hash('nobody comes in by this', argon)

/** failed tries within so many minutes after which one has to wait: for one name, and from one address */
const slow = { minutes: 15, byName: 10, byAddress: 60 }

/** A password as it is kept. */
export const hashed = (password: string): Promise<string> => hashing(() => hash(password, argon))

/** Counts a try before it is known how it ends; whether there were too many. */
export async function isTooSoon(id: string, name: string, { address }: { address: string }): Promise<boolean> {
  const { byName, byAddress } = await atDoor((client) => tries.addTry(client, { id, name, address }, slow.minutes))
  return byName > slow.byName || byAddress > slow.byAddress
}
/** Whether a password is an account's; for no account it takes as long to say no. */
export async function fits(account: Account | null, password: string): Promise<boolean> {
  const kept = account?.password ?? (await nobody)
  const isSame = await hashing(() => verify(kept, password))
  return isSame && Boolean(account?.password)
}
