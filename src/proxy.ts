/**
 * What stands before every request: this machine alone may ask, writes come from our own pages, and every page gets a
 * content security policy with a nonce of its own.
 */
import { NextResponse, type NextRequest } from 'next/server'

const local = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/
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
export function isOwnWrite(request: Pick<NextRequest, 'method' | 'headers'>): boolean {
  if (reads.has(request.method)) return true
  const origin = request.headers.get('origin')
  const host = request.headers.get('host')
  return origin !== null && host !== null && URL.canParse(origin) && new URL(origin).host === host
}

export function proxy(request: NextRequest) {
  if (!local.test(request.headers.get('host') ?? ''))
    return new NextResponse('Ask on this machine itself, at 127.0.0.1.', { status: 421 })
  if (!isOwnWrite(request)) return new NextResponse('This write came from somewhere else and was refused.', { status: 403 })
  const nonce = btoa(crypto.randomUUID())
  const csp = policy(nonce)
  const headers = new Headers(request.headers)
  headers.set('x-nonce', nonce)
  headers.set('content-security-policy', csp)
  const response = NextResponse.next({ request: { headers } })
  response.headers.set('Content-Security-Policy', csp)
  return response
}

export const config = { matcher: ['/((?!_next/static|_next/image|icon.svg|sw.js).*)'] }
