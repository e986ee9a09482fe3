/** Passkeys at the door (WebAuthn): made by who says again that it is them, and then come in by without a password or a code. */
import 'server-only'
import { isIP } from 'node:net'
import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
} from '@simplewebauthn/server'
import type { MadePasskey, SignedPasskey } from '@/core/input/door'
import * as accounts from '@/db/account'
import * as passkeys from '@/db/passkey'
import type { Session } from '@/db/session'
import { ownOrigin } from '@/origin'
import { askedAt, challengeMs, makeChallenge } from './challenge'
import { begin, type CameIn } from './door'
import { cameBy } from './doorAnswer'
import { atDoor, readDoor } from './doorWay'
import { type Asked, proveOwn, type Refusal } from './secondFactor'

/** How the request called this server, as a passkey knows it; null for a bare number, for which none is made. */
function passkeyHost(headers: Pick<Headers, 'get'>): string | null {
  const { hostname } = new URL(ownOrigin(headers))
  return isIP(hostname.replace(/^\[|\]$/g, '')) || hostname === '' ? null : hostname
}
const comesIn = 'come in'
const making = ({ id }: Session) => `make ${id}`

type PasskeyRefusal = Refusal | { issue: 'bare-number' | 'not-signed' | 'made-already' }

/** What a browser makes a passkey by, for who said again that it is them. */
export async function askToMake(session: Session, asked: Asked, request: Request): Promise<object> {
  const host = passkeyHost(request.headers)
  if (!host) return { issue: 'bare-number' }
  const account = await proveOwn(session, asked, cameBy(request).address)
  if ('issue' in account) return account
  const own = await readDoor((client) => passkeys.listPasskeys(client, account.id))
  return generateRegistrationOptions({
    rpName: 'Itinerum',
    rpID: host,
    userName: account.name,
    userDisplayName: session.personName,
    userID: new Uint8Array(Buffer.from(account.id.replaceAll('-', ''), 'hex')),
    challenge: makeChallenge(making(session)),
    timeout: challengeMs,
    attestationType: 'none',
    excludeCredentials: own.filter((each) => each.host === host).map(({ id }) => ({ id })),
    // it stands for name, password and code: it knows whose it is, and its keeper looks who is there
    authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
  })
}
/** Keeps one that was made for this session. */
export async function keepMade(
  session: Session,
  { name, made }: { name: string; made: MadePasskey },
  { headers }: Request,
): Promise<{ ok: true } | PasskeyRefusal> {
  const host = passkeyHost(headers)
  if (!host) return { issue: 'bare-number' }
  const { registrationInfo } = await verifyRegistrationResponse({
    response: made,
    expectedChallenge: (challenge) => askedAt(challenge, making(session)) !== null,
    expectedOrigin: ownOrigin(headers),
    expectedRPID: host,
    requireUserVerification: true,
    // what it was signed by is nobody of ours: whatever is wrong with it, it is none
  }).catch(() => ({ registrationInfo: undefined }))
  if (!registrationInfo) return { issue: 'not-signed' }
  const { id, publicKey, counter } = registrationInfo.credential
  const { accountId } = session
  const isNew = await atDoor((client) => passkeys.addPasskey(client, { id, accountId, publicKey, host, name, counter }))
  return isNew ? { ok: true } : { issue: 'made-already' }
}
export async function endOwn(session: Session, { id, ...asked }: Asked & { id: string }, address: string) {
  const account = await proveOwn(session, asked, address)
  if ('issue' in account) return account
  await atDoor((client) => passkeys.endPasskey(client, account.id, id))
  return { ok: true }
}
export const listOwnPasskeys = ({ accountId }: Session): Promise<passkeys.Passkey[]> =>
  readDoor((client) => passkeys.listPasskeys(client, accountId))

/** What a browser asks its passkeys to sign; null where none can be for this server. */
export async function askToSign({ headers }: Request): Promise<object | null> {
  const host = passkeyHost(headers)
  if (!host) return null
  return generateAuthenticationOptions({
    rpID: host,
    challenge: makeChallenge(comesIn),
    timeout: challengeMs,
    userVerification: 'required',
  })
}
/** In by what a passkey signed. Its keeper looked who was there: neither a password nor a code is asked for beside it. */
export async function comeInBy(signed: SignedPasskey, request: Request): Promise<CameIn> {
  const { headers } = request
  const wrong = { issue: 'wrong' as const }
  const host = passkeyHost(headers)
  const passkey = await readDoor((client) => passkeys.findPasskey(client, signed.id))
  if (!host || passkey?.host !== host) return wrong
  let askedMs: number | null = null
  const { verified, authenticationInfo } = await verifyAuthenticationResponse({
    response: signed,
    expectedChallenge: (challenge) => (askedMs = askedAt(challenge, comesIn)) !== null,
    expectedOrigin: ownOrigin(headers),
    expectedRPID: host,
    requireUserVerification: true,
    credential: { id: passkey.id, publicKey: new Uint8Array(passkey.publicKey), counter: passkey.counter },
  }).catch(() => ({ verified: false, authenticationInfo: undefined }))
  if (!verified || !authenticationInfo || askedMs === null) return wrong
  const use = { id: passkey.id, askedMs, counter: authenticationInfo.newCounter }
  return atDoor(async (client) => {
    if (!(await passkeys.takePasskey(client, use))) return wrong
    const [membership] = await accounts.listMemberships(client, passkey.accountId)
    return membership ? begin(client, membership, cameBy(request)) : wrong
  })
}
