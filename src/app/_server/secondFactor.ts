/** A second factor at the door: figures of the minute from an app (RFC 6238), or a printed code. */
import 'server-only'
import { randomBytes } from 'node:crypto'
import { Secret, TOTP } from 'otpauth'
import { v7 as uuidv7 } from 'uuid'
import type { Account } from '@/db/account'
import * as accounts from '@/db/account'
import * as factors from '@/db/secondFactor'
import type { Session } from '@/db/session'
import * as tries from '@/db/signInTry'
import { fits, isTooSoon } from './doorPassword'
import { atDoor, readDoor } from './doorWay'
import { type Qr, qrOf } from './qr'

const periodSeconds = 30
const totpOf = (secret: string, label = '') =>
  new TOTP({ issuer: 'Itinerum', label, secret: Secret.fromBase32(secret), digits: 6, period: periodSeconds })
/** The step of the clock that figures were made in, one before or after counted too; null for none. */
function stepOf(secret: string, figures: string): number | null {
  const delta = totpOf(secret).validate({ token: figures, window: 1 })
  return delta === null ? null : Math.floor(Date.now() / 1000 / periodSeconds) + delta
}

const howMany = 10
const codeLetters = 24
/** without letters and figures that are taken for one another */
const letters = 'abcdefghjkmnpqrstuvwxyz23456789'
/** Six times four letters: about 119 bits, so that a digest of it is as good as a salted one. */
const freshCode = () => {
  let code = ''
  // of 256 values the last few would make some letters likelier
  while (code.length < codeLetters)
    code += [...randomBytes(32)]
      .filter((b) => b < 248)
      .map((b) => letters[b % 31])
      .join('')
      .slice(0, codeLetters - code.length)
  return code
}
const spaced = (code: string) => code.replace(/(.{4})(?=.)/g, '$1-')

/** Whether what was typed is an account's figures of this minute, or a printed code that was not used yet; each comes in once. */
export async function codeFits(account: Account, typed: string): Promise<boolean> {
  const { secondFactor: secret, id } = account
  if (!secret) return true
  const code = typed.toLowerCase().replace(/[\s-]/g, '')
  if (!/^\d{6}$/.test(code)) return atDoor((client) => factors.takeRecoveryCode(client, id, code))
  const step = stepOf(secret, code)
  return step !== null && atDoor((client) => factors.takeStep(client, id, step))
}

export interface FreshFactor {
  secret: string
  /** as an app takes it up, by a tap or by its picture */
  address: string
  picture: Qr
}
/** A secret for an app; nothing is kept until its figures were typed back. */
export function freshFactor({ accountName }: Session): FreshFactor {
  const secret = new Secret({ size: 20 }).base32
  const address = totpOf(secret, accountName).toString()
  return { secret, address, picture: qrOf(address) }
}

export type Asked = { password: string; code: string }
export type Refusal = { issue: 'wrong' | 'wait' | 'code-wrong' | 'on' }
/** Whoever changes how they come in says again that it is them: by their password, and where a code is asked for, by one. */
export async function proveOwn(
  { accountId, accountName }: Session,
  { password, code }: Asked,
  address: string,
): Promise<Account | Refusal> {
  const tryId = uuidv7()
  if (await isTooSoon(tryId, accountName, { address })) return { issue: 'wait' }
  const account = await readDoor((client) => accounts.getAccount(client, accountId))
  if (!(await fits(account, password.normalize('NFC')))) return { issue: 'wrong' }
  if (!(await codeFits(account, code))) return { issue: 'code-wrong' }
  await atDoor((client) => tries.noteCameIn(client, tryId))
  return account
}

/**
 * Figures are asked for from now on, where those typed are the secret's; answers with codes to print, which are shown this once.
 * `on`: another app's are asked for already, and end first, by a code of theirs.
 */
export async function turnOn(
  session: Session,
  { password, code, secret }: Asked & { secret: string },
  address: string,
): Promise<{ codes: string[] } | Refusal> {
  if ((await findOwnFactor(session)).isOn) return { issue: 'on' }
  const account = await proveOwn(session, { password, code: '' }, address)
  if ('issue' in account) return account
  const step = stepOf(secret, code.replace(/\s/g, ''))
  if (step === null) return { issue: 'code-wrong' }
  const codes = Array.from({ length: howMany }, freshCode)
  const isBegun = await atDoor(async (client) => {
    if (!(await factors.beginSecondFactor(client, account.id, secret, step))) return false
    await factors.addRecoveryCodes(client, account.id, codes)
    return true
  })
  return isBegun ? { codes: codes.map(spaced) } : { issue: 'on' }
}
/** Other codes to print, in place of those before. */
export async function printAnew(session: Session, asked: Asked, address: string): Promise<{ codes: string[] } | Refusal> {
  const account = await proveOwn(session, asked, address)
  if ('issue' in account) return account
  const codes = Array.from({ length: howMany }, freshCode)
  await atDoor((client) => factors.addRecoveryCodes(client, account.id, codes))
  return { codes: codes.map(spaced) }
}
export async function turnOff(session: Session, asked: Asked, address: string): Promise<{ ok: true } | Refusal> {
  const account = await proveOwn(session, asked, address)
  if ('issue' in account) return account
  await atDoor((client) => factors.endSecondFactor(client, account.id))
  return { ok: true }
}
/** By the owner, for somebody of this studio alone whose app and codes are gone; false where they belong to another one too. */
export const endFor = (session: Session, membershipId: string): Promise<boolean> =>
  atDoor(async (client) => {
    const account = await accounts.findOwnMember(client, session.studioId, membershipId)
    if (!account) return false
    await factors.endSecondFactor(client, account.id)
    return true
  })
export const findOwnFactor = ({ accountId }: Session) => readDoor((client) => factors.findFactor(client, accountId))
