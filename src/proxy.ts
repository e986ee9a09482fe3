/**
 * What stands before every request: only who calls it by a name of its own may ask, writes come from our own pages, every page gets a content
 * security policy with a nonce of its own, and a crowd is asked to come again.
 */
import { type NextRequest, NextResponse } from 'next/server'
import { isActionBody, isReadablePath, isRouterTree, mostActionBytes } from './actionBody'
import { isSlowed } from './app/_server/clientDoor'
import { lookUp, renew } from './app/_server/whoIsIn'
import { isOwnAddress, isOwnOrigin, senderOf } from './origin'
import { cookieText, isFor, isTls, ownPlace, sessionCookie } from './sessionCookie'

const reads = new Set(['GET', 'HEAD'])

function policy(nonce: string): string {
  const dev = process.env.NODE_ENV === 'development' ? " 'unsafe-eval'" : ''
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${dev}`,
    `style-src 'self' ${dev ? "'unsafe-inline'" : `'nonce-${nonce}'`}`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    `connect-src 'self'${dev ? ' ws:' : ''}`,
    "worker-src 'self'",
    "manifest-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ')
}

/** Whether a write comes from a page of this very server. */
export const isOwnWrite = (request: Pick<NextRequest, 'method' | 'headers'>): boolean =>
  reads.has(request.method) || isOwnOrigin(request.headers.get('origin'), request.headers.get('host'))

/** so many may stand in line for the database; who comes then is told when to come again */
const longestLine = 60
const isCrowded = (): boolean =>
  ((globalThis as { itinerumPool?: { waitingCount: number } }).itinerumPool?.waitingCount ?? 0) > longestLine

/** What answers to everybody: the door itself, an invitation, a private calendar, and what a browser needs to show them. */
const open =
  /^\/(?:sign-in|trust|(?:join|new-password|pair)\/[\w-]{1,80}|for\/[^/]{1,200}(?:\/word|\/opened|\/answer|\/pay|\/paper|\/(?:photo|agreed|offer|receipt)\/[^/]{1,60})?|api\/v1\/.+|api\/(?:session(?:\/passkey)?|join|password|pairing|authority|health|payments|calendar\/[^/]+)|manifest\.webmanifest|apple-icon\.png)$/

/** What the door says: stopped, with where to or that nobody is signed in; or let in, with the cookie to come with from now on. */
type AtDoor = { stopped: NextResponse } | { cookie: string | null }

async function askDoor(request: NextRequest): Promise<AtDoor> {
  const { pathname } = request.nextUrl
  const letIn = { cookie: null }
  // an action answers by itself that nobody is signed in: what was typed stays on its page
  if (open.test(pathname) || (request.method === 'POST' && request.headers.has('next-action'))) return letIn
  const { name, secure } = sessionCookie(request.headers.get('host'), isTls(request.headers))
  const secret = request.cookies.get(name)?.value ?? ''
  // records that can't be reached are waited for, and told, by the page
  const session = await lookUp(secret, 0).catch(() => 'unknown' as const)
  if (session === 'unknown') return letIn
  if (session?.isOpen && isFor(session, request.headers)) {
    const next = await renew(session, secret).catch(() => null)
    return { cookie: next && cookieText({ name, secure, secret: next.secret, seconds: next.seconds }) }
  }
  if (session?.lacksCode && isFor(session, request.headers)) {
    if (pathname === '/codes' || pathname === '/api/second-factor') return letIn
    if (!pathname.startsWith('/api/')) return { stopped: leadTo('/codes', request) }
  }
  const isRevoked = session?.isRevoked ?? false
  // what a lost device's browser kept of photographs and pages goes from it, too
  const headers = { 'cache-control': 'no-store', ...(isRevoked && { 'clear-site-data': '"cache"' }) }
  if (pathname.startsWith('/api/'))
    return { stopped: NextResponse.json({ issue: 'signed-out', revoked: isRevoked }, { status: 401, headers }) }
  return { stopped: leadTo('/sign-in', request, headers) }
}
/** To another page, and from there to where one wanted to go. */
function leadTo(page: string, { url, nextUrl: { pathname, search } }: NextRequest, headers: Record<string, string> = {}) {
  const to = new URL(page, url)
  const place = ownPlace(pathname + search.replace(/[?&]_rsc=[^&]*/, ''))
  if (place !== '/') to.searchParams.set('to', place)
  return NextResponse.redirect(to, { status: 307, headers: { 'cache-control': 'no-store', ...headers } })
}

/** What is wrong with what was sent; null where it can be read. */
async function unreadable(request: NextRequest): Promise<{ words: string; status: number } | null> {
  if (!isReadablePath(request.nextUrl.pathname)) return { words: 'This address can’t be read.', status: 400 }
  const tree = request.headers.get('next-router-state-tree')
  if (tree !== null && !isRouterTree(tree)) return { words: 'What was sent can’t be read.', status: 400 }
  if (!request.headers.has('next-action')) return null
  if (Number(request.headers.get('content-length') ?? 0) > mostActionBytes)
    return { words: 'This is more than a page of ours ever sends.', status: 413 }
  // no page of ours sends an action by a form
  if (!request.headers.get('content-type')?.startsWith('text/plain'))
    return { words: 'What was sent can’t be read.', status: 415 }
  const text = await request.clone().text()
  return text.length <= mostActionBytes && isActionBody(text) ? null : { words: 'What was sent can’t be read.', status: 400 }
}

export async function proxy(request: NextRequest) {
  if (!isOwnAddress(request.headers.get('host')))
    return new NextResponse(
      'This server isn’t called that. Ask on this machine itself, at 127.0.0.1, or by an address it printed when it was started.',
      { status: 421 },
    )
  // a key, or a signature, is sent by no browser of itself: who has one comes from wherever they are
  if (!isOwnWrite(request) && !/^\/api\/(?:v1\/|payments$)/.test(request.nextUrl.pathname))
    return new NextResponse('This write came from somewhere else and was refused.', { status: 403 })
  if (isCrowded() && request.nextUrl.pathname !== '/api/health')
    return new NextResponse('Too many ask at once. Come again in a moment.', { status: 503, headers: { 'retry-after': '2' } })
  const wrong = await unreadable(request)
  if (wrong) return new NextResponse(wrong.words, { status: wrong.status })
  const isClient = request.nextUrl.pathname.startsWith('/for/')
  if (isClient && (await isSlowed(senderOf(request.headers), request.nextUrl.pathname.split('/')[2] ?? '').catch(() => false)))
    return new NextResponse('Too many addresses from here opened nothing. Wait a quarter of an hour, then try again.', {
      status: 429,
    })
  const door = await askDoor(request)
  if ('stopped' in door) return door.stopped
  const nonce = btoa(crypto.randomUUID())
  const csp = policy(nonce)
  const headers = new Headers(request.headers)
  headers.set('x-nonce', nonce)
  headers.set('content-security-policy', csp)
  const response = NextResponse.next({ request: { headers } })
  response.headers.set('Content-Security-Policy', csp)
  // for the browser alone: the page goes on by what the request came with
  if (door.cookie) response.headers.append('set-cookie', door.cookie)
  // a client's page is nobody else's: no search engine and no cache keeps it
  if (isClient) response.headers.set('X-Robots-Tag', 'noindex, nofollow, noarchive')
  return response
}

// Whole names, not beginnings: what only looks like a file of ours goes through the door as everything does. Photographs ask
// for themselves, for a body that passes here is cut.
export const config = {
  matcher: [
    '/((?!_next/static/|icon\\.svg$|sw\\.js$|api/photos/[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$).*)',
  ],
}
