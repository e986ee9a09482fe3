/** Telling a browser while the app is shut: where, by which keys, and what is sealed for it. */
import 'server-only'
import { generateKeyPairSync } from 'node:crypto'
import { buildPushPayload } from '@block65/webcrypto-web-push'
import { v7 as uuidv7 } from 'uuid'
import type { PushPlaceInput } from '@/core/input/door'
import * as push from '@/db/push'
import type { Session } from '@/db/session'
import { atDoor, readDoor } from './doorWay'
import { isPushAddress, sendSealed } from './pushSend'

const pointBytes = 32
/** A pair for signing, as the services read it: the point whole, the private number alone. */
function freshKeys(): push.PushKeys {
  const { x, y, d } = generateKeyPairSync('ec', { namedCurve: 'P-256' }).privateKey.export({ format: 'jwk' })
  const bytes = (text = '') => Buffer.from(text, 'base64url')
  const padded = (text?: string) => Buffer.concat([Buffer.alloc(pointBytes - bytes(text).length), bytes(text)])
  return {
    public: Buffer.concat([Buffer.from([4]), padded(x), padded(y)]).toString('base64url'),
    private: padded(d).toString('base64url'),
  }
}
// asked by the house itself too, which comes by no request
const ownKeys = () => readDoor((client) => push.pushKeys(client, freshKeys))
/** By what a browser knows who may tell it. */
export const publicKey = async (): Promise<string> => (await ownKeys()).public

/** From now on this browser is told; `no-service` where the address is none that a browser's service has. */
export async function tellHere(session: Session, typed: PushPlaceInput): Promise<{ ok: true } | { issue: 'no-service' }> {
  if (!isPushAddress(typed.endpoint)) return { issue: 'no-service' }
  const place = { id: uuidv7(), endpoint: typed.endpoint, p256dh: typed.keys.p256dh, auth: typed.keys.auth }
  await atDoor((client) => push.keepPlace(client, session.id, place))
  return { ok: true }
}
export const tellNoMore = (session: Session): Promise<void> => atDoor((client) => push.endPlaces(client, session.id))

export interface Telling {
  /** the same for the same thing: it is told once, and replaces itself on the screen */
  tag: string
  words: string
  /** where it leads */
  path: string
  /** after so many seconds it is of no use */
  seconds: number
}
const gone = new Set([404, 410])
/** Seals and sends, once; a service that could not be reached is asked again, and a browser it doesn't know any more is forgotten. */
export async function tellPlace(place: push.PushPlace, { tag, words, path, seconds }: Telling): Promise<void> {
  if (!(await readDoor((client) => push.tellOnce(client, place.id, tag)))) return
  const { public: publicPoint, private: privateKey } = await ownKeys()
  const { endpoint, p256dh, auth } = place
  const sealed = await buildPushPayload(
    { data: JSON.stringify({ tag, words, path }), options: { ttl: Math.max(60, Math.round(seconds)), urgency: 'high' } },
    { endpoint, expirationTime: null, keys: { p256dh, auth } },
    { subject: process.env.ITINERUM_ORIGIN ?? 'mailto:studio@itinerum.example', publicKey: publicPoint, privateKey },
  ).catch(() => null)
  // keys that are none: nothing can be sealed for it, now or later
  if (!sealed) return readDoor((client) => push.endPlace(client, place.id))
  const status = await sendSealed(endpoint, { headers: sealed.headers, body: sealed.body })
  if (gone.has(status)) await readDoor((client) => push.endPlace(client, place.id))
  else if (status < 200 || status >= 300) await readDoor((client) => push.notTold(client, place.id, tag))
}
