/**
 * The cookie a session stands in. Over TLS no other host or path can set it; on loopback, where browsers differ on what they keep
 * without TLS, it carries the port, so that two servers of one machine don't sign each other out.
 */
export function sessionCookie(host: string | null, isTls: boolean): { name: string; secure: boolean } {
  if (isTls) return { name: '__Host-itinerum', secure: true }
  const port = /:(\d{1,5})$/.exec(host ?? '')?.[1] ?? '80'
  return { name: `itinerum-${port}`, secure: false }
}
/** As it is set: out of reach of scripts, sent from our own pages alone; an empty secret for no seconds takes it away. */
export const cookieText = (cookie: { name: string; secure: boolean; secret: string; seconds: number }): string =>
  `${cookie.name}=${cookie.secret}; Path=/; HttpOnly; SameSite=Lax; Max-Age=${cookie.seconds}${cookie.secure ? '; Secure' : ''}`
/** Whether a request came by TLS, by what the server itself says of it. */
export const isTls = (headers: Pick<Headers, 'get'>): boolean => headers.get('x-forwarded-proto') === 'https'

/** Whether what was sent may be taken in a session: what somebody wrote is not taken in another's, who came in here after them. */
export function isFor({ membershipId }: { membershipId: string }, headers: Pick<Headers, 'get'>): boolean {
  const whose = headers.get('itinerum-member')
  return whose === null || whose === membershipId
}

/** A place of our own to go on to after signing in; the bench for anything else. */
export const ownPlace = (wanted: string | null | undefined): string =>
  wanted && /^\/(?![/\\])[\w/?=&.~%-]*$/.test(wanted) && !wanted.startsWith('/sign-in') && !wanted.startsWith('/api/')
    ? wanted
    : '/'
