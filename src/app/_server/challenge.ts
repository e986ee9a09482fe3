/**
 * What a passkey is asked to sign: when it was asked, chance, and a seal over both and what it is asked for. Nothing is kept of it: who
 * asks a thousand times fills no table. That it comes in once is kept with the passkey.
 */
import 'server-only'
import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto'
import { tillSecret } from '@/db/till'

/** so long it may be signed */
export const challengeMs = 5 * 60_000
const timeBytes = 8
const chanceBytes = 16
const sealBytes = 32

const sealOf = (asked: Buffer, what: string) =>
  createHmac('sha256', `passkey ${tillSecret(process.env.DOOR_DATABASE_URL)}`)
    .update(asked)
    .update(what)
    .digest()

/** `what`: for what it is asked; signed for another it is good for nothing. */
export function makeChallenge(what: string, nowMs = Date.now()): Uint8Array<ArrayBuffer> {
  const asked = Buffer.alloc(timeBytes + chanceBytes)
  asked.writeBigUInt64BE(BigInt(nowMs))
  randomBytes(chanceBytes).copy(asked, timeBytes)
  return new Uint8Array(Buffer.concat([asked, sealOf(asked, what)]))
}
/** When it was asked, in ms, as base64url; null where it is none of ours, for something else, or over. */
export function askedAt(challenge: string, what: string, nowMs = Date.now()): number | null {
  const bytes = Buffer.from(challenge, 'base64url')
  if (bytes.length !== timeBytes + chanceBytes + sealBytes) return null
  const asked = bytes.subarray(0, timeBytes + chanceBytes)
  if (!timingSafeEqual(bytes.subarray(timeBytes + chanceBytes), sealOf(asked, what))) return null
  const askedMs = Number(asked.readBigUInt64BE())
  return askedMs <= nowMs && nowMs - askedMs < challengeMs ? askedMs : null
}
