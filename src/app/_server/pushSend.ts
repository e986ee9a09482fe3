/**
 * Sends to the service of a browser. Such an address comes from a browser, so that it may name anything: it is asked by TLS at a public
 * name alone, by no number and nothing of a network of one's own, and no other place that an answer names is gone to.
 * `ITINERUM_PUSH` names a stand-in that everything goes to instead.
 */
import 'server-only'
import { lookup } from 'node:dns'
import { request } from 'node:https'
import { BlockList, isIP, type LookupFunction } from 'node:net'

const patienceMs = 10_000
const ownNames = /(?:^|\.)(?:localhost|local|lan|home|internal|intranet|arpa|test|invalid|onion)$/
/** Networks that nobody's public service stands in. */
const own = new BlockList()
for (const [network, bits] of [
  ['0.0.0.0', 8],
  ['10.0.0.0', 8],
  ['100.64.0.0', 10],
  ['127.0.0.0', 8],
  ['169.254.0.0', 16],
  ['172.16.0.0', 12],
  ['192.0.0.0', 24],
  ['192.168.0.0', 16],
  ['198.18.0.0', 15],
  ['224.0.0.0', 3],
] as const)
  own.addSubnet(network, bits, 'ipv4')
for (const [network, bits] of [
  ['::', 127],
  ['64:ff9b::', 96],
  ['fc00::', 7],
  ['fe80::', 10],
  ['ff00::', 8],
] as const)
  own.addSubnet(network, bits, 'ipv6')

/** Whether something stands in a network that is not everybody's. */
export function isOwnNetwork(address: string): boolean {
  const family = isIP(address)
  // a number of the old kind, written as one of the new
  const mapped = /^::ffff:(\d+\.\d+\.\d+\.\d+)$/i.exec(address)?.[1]
  if (mapped) return own.check(mapped, 'ipv4')
  return family === 0 || own.check(address, family === 6 ? 'ipv6' : 'ipv4')
}
/** Whether a browser's service may stand there. */
export function isPushAddress(text: string): boolean {
  const url = URL.canParse(text) ? new URL(text) : null
  if (url?.protocol !== 'https:' || url.username !== '' || url.password !== '') return false
  const name = url.hostname.toLowerCase()
  const isNumber = isIP(name.replace(/^\[|\]$/g, '')) !== 0
  return !isNumber && name.includes('.') && !ownNames.test(name) && (url.port === '' || url.port === '443')
}
const standIn = () => process.env.ITINERUM_PUSH ?? null

/** Found by name, and only where all it leads to is everybody's. */
const publicLookup: LookupFunction = (name, options, found) => {
  lookup(name, { ...options, all: true }, (error, addresses) => {
    const [first] = addresses ?? []
    if (error || !first) return found(error ?? new Error('not found'), '', 4)
    if (addresses.some(({ address }) => isOwnNetwork(address))) return found(new Error('in a network of one’s own'), '', 4)
    return options.all ? found(null, addresses) : found(null, first.address, first.family)
  })
}

export interface Sealed {
  headers: Record<string, string>
  body: Uint8Array
}
/** How it was taken, as an HTTP status; 0 where nobody was reached. */
export async function sendSealed(endpoint: string, { headers, body }: Sealed): Promise<number> {
  const instead = standIn()
  if (instead) {
    const { pathname } = new URL(endpoint)
    return fetch(`${instead}${pathname}`, {
      method: 'POST',
      headers,
      body: Buffer.from(body),
      redirect: 'manual',
      signal: AbortSignal.timeout(patienceMs),
    }).then(
      ({ status }) => status,
      () => 0,
    )
  }
  if (!isPushAddress(endpoint)) return 0
  return new Promise((resolve) => {
    const asked = request(endpoint, { method: 'POST', headers, lookup: publicLookup, timeout: patienceMs }, (response) => {
      response.resume()
      resolve(response.statusCode ?? 0)
    })
    asked.on('timeout', () => asked.destroy())
    asked.on('error', () => resolve(0))
    asked.end(body)
  })
}
