/**
 * Who may ask: this machine by its own name, and beside it what it was started to listen to: the workshop's network (`ITINERUM_LAN`,
 * hosts with their ports, by commas) or a proxy that stands before it (`ITINERUM_ORIGIN`, like https://studio.example). Asked at the door
 * and once more where something is written, so that no way around the door leads anywhere.
 */

const local = /^(127\.0\.0\.1|localhost|\[::1\])(:\d{1,5})?$/

/** How others on the workshop's network call this server. */
export const lanHosts = (): string[] => (process.env.ITINERUM_LAN ?? '').split(',').filter(Boolean)
/** Whether there is an authority of the studio's own that a phone can be told to trust. */
export const hasAuthority = (): boolean => Boolean(process.env.ITINERUM_AUTHORITY)
/** How a proxy before this server calls it; null for none. */
export function proxyHost(): string | null {
  const origin = process.env.ITINERUM_ORIGIN ?? ''
  return URL.canParse(origin) ? new URL(origin).host : null
}

/** How somebody else is told to call this server: as its proxy does, else as the workshop's network does; null for this machine alone. */
export const outwardHost = (): string | null => proxyHost() ?? lanHosts()[0] ?? null

/** `host`: the request's Host header. A name that somebody else's clock may point here is not ours. */
export const isOwnAddress = (host: string | null): boolean =>
  host !== null && (local.test(host) || lanHosts().includes(host) || proxyHost() === host)

/** Whether an Origin header names the server that the Host header does. */
export const isOwnOrigin = (origin: string | null, host: string | null): boolean =>
  origin !== null && host !== null && URL.canParse(origin) && new URL(origin).host === host

/**
 * From where a request comes: what stands before the server says so, where that is ours (it knows `ITINERUM_FRONT_KEY`) or a proxy that
 * was named. Nobody else is believed: what asks on loopback is this machine.
 */
export function senderOf(headers: Pick<Headers, 'get'>): string {
  const key = process.env.ITINERUM_FRONT_KEY ?? ''
  const isFront = key !== '' && headers.get('itinerum-front') === key
  const host = proxyHost()
  const isProxy = host !== null && headers.get('host') === host
  const last = isFront || isProxy ? headers.get('x-forwarded-for')?.split(',').at(-1)?.trim() : ''
  return (last || '127.0.0.1').slice(0, 100)
}

/** How the request called this server: where it is told to come back to. */
export const ownOrigin = (headers: Pick<Headers, 'get'>): string =>
  `${headers.get('x-forwarded-proto') === 'https' ? 'https' : 'http'}://${headers.get('host') ?? ''}`
