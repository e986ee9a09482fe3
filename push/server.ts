/**
 * A stand-in for the service of a browser, by which it is told while the app is shut. It gives out places as a browser would, takes
 * sealed messages for them as the web's push has it (RFC 8030, 8188, 8291, 8292), checks who sent them, opens them and shows what came.
 * It fails on wish. Usage: tsx push/server.ts PORT. Everything goes to it where ITINERUM_PUSH names it.
 *
 *   POST /places              → 201 { endpoint, keys: { p256dh, auth } }
 *   POST /to/{id}             a sealed message → 201; 410 for a place that is gone, 403 where who sent it can't be told
 *   GET  /to/{id}             → [{ text, ttl, urgency }], the oldest first
 *   PUT  /fault   gone | down | none
 */
import { createDecipheriv, createECDH, createHmac, createPublicKey, randomBytes, verify } from 'node:crypto'
import { createServer, type IncomingMessage } from 'node:http'

interface Place {
  ecdh: ReturnType<typeof createECDH>
  auth: Buffer
  came: { text: string; ttl: number; urgency: string }[]
}
const places = new Map<string, Place>()
let fault = 'none'
/** the name that its places have; nobody's */
const service = 'https://places.itinerum.example'

async function bodyOf(request: IncomingMessage): Promise<Buffer> {
  const parts: Buffer[] = []
  for await (const part of request) parts.push(part as Buffer)
  return Buffer.concat(parts)
}
const hmac = (key: Buffer, ...parts: Buffer[]) => createHmac('sha256', key).update(Buffer.concat(parts)).digest()
const text = (words: string) => Buffer.from(words, 'latin1')
const one = Buffer.from([1])

/** What was sealed for a place, as RFC 8291 has it: salt 16, record size 4, length of the sender's point 1, the point, the record. */
function opened({ ecdh, auth }: Place, sealed: Buffer): string {
  const salt = sealed.subarray(0, 16)
  const length = sealed.readUInt8(20)
  const sender = sealed.subarray(21, 21 + length)
  const record = sealed.subarray(21 + length)
  const shared = ecdh.computeSecret(sender)
  const key = hmac(hmac(auth, shared), text('WebPush: info\0'), ecdh.getPublicKey(), sender, one)
  const pseudo = hmac(salt, key)
  const content = hmac(pseudo, text('Content-Encoding: aes128gcm\0'), one).subarray(0, 16)
  const nonce = hmac(pseudo, text('Content-Encoding: nonce\0'), one).subarray(0, 12)
  const decipher = createDecipheriv('aes-128-gcm', content, nonce)
  decipher.setAuthTag(record.subarray(-16))
  const padded = Buffer.concat([decipher.update(record.subarray(0, -16)), decipher.final()])
  // the last that is not nought ends the message: 2 in its last record
  const end = padded.findLastIndex((byte) => byte !== 0)
  if (padded[end] !== 2) throw new Error('not the last record')
  return padded.subarray(0, end).toString()
}
/** Whether a sender signed for this very service, not long ago, by the key they name (RFC 8292). */
function isSigned(header: string): boolean {
  const [, token = '', key = ''] = /^vapid t=([\w.-]+), ?k=([\w-]+)$/.exec(header) ?? []
  const [head = '', said = '', seal = ''] = token.split('.')
  const point = Buffer.from(key, 'base64url')
  if (point.length !== 65) return false
  const jwk = {
    kty: 'EC',
    crv: 'P-256',
    x: point.subarray(1, 33).toString('base64url'),
    y: point.subarray(33).toString('base64url'),
  }
  const { aud, exp, sub } = JSON.parse(Buffer.from(said, 'base64url').toString()) as { aud: string; exp: number; sub: string }
  const isNow = exp * 1000 > Date.now() && exp * 1000 < Date.now() + 86_400_000
  return (
    aud === service &&
    isNow &&
    /^(?:mailto:|https:)/.test(sub) &&
    verify(
      'sha256',
      Buffer.from(`${head}.${said}`),
      { key: createPublicKey({ key: jwk, format: 'jwk' }), dsaEncoding: 'ieee-p1363' },
      Buffer.from(seal, 'base64url'),
    )
  )
}

createServer((request, response) => {
  const answer = (status: number, said?: unknown) =>
    response.writeHead(status, { 'content-type': 'application/json' }).end(said === undefined ? '' : JSON.stringify(said))
  void (async () => {
    const { method, url = '' } = request
    const body = await bodyOf(request)
    if (method === 'PUT' && url === '/fault') {
      fault = body.toString()
      return answer(204)
    }
    if (method === 'POST' && url === '/places') {
      const [id, ecdh, auth] = [randomBytes(16).toString('base64url'), createECDH('prime256v1'), randomBytes(16)]
      ecdh.generateKeys()
      places.set(id, { ecdh, auth, came: [] })
      return answer(201, {
        endpoint: `${service}/to/${id}`,
        keys: { p256dh: ecdh.getPublicKey().toString('base64url'), auth: auth.toString('base64url') },
      })
    }
    const place = places.get(/^\/to\/([\w-]+)$/.exec(url)?.[1] ?? '')
    if (!place || (method === 'POST' && fault === 'gone')) return answer(410)
    if (method === 'GET') return answer(200, place.came)
    if (fault === 'down') return answer(503)
    if (!isSigned(request.headers.authorization ?? '')) return answer(403)
    const { ttl, urgency, 'content-encoding': encoding } = request.headers
    if (encoding !== 'aes128gcm' || ttl === undefined) return answer(400)
    place.came.push({ text: opened(place, body), ttl: Number(ttl), urgency: String(urgency) })
    return answer(201)
  })().catch(() => answer(400))
}).listen(Number(process.argv[2]), '127.0.0.1')
