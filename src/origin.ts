/**
 * Who may ask: this machine alone, by its own name, and for writes a page of this very server. Asked at the door and once more
 * where something is written, so that no way around the door leads anywhere.
 */

const local = /^(127\.0\.0\.1|localhost|\[::1\])(:\d{1,5})?$/

/** `host`: the request's Host header. A name that somebody else's clock may point here is not ours. */
export const isOwnAddress = (host: string | null): boolean => local.test(host ?? '')

/** Whether an Origin header names the server that the Host header does. */
export const isOwnOrigin = (origin: string | null, host: string | null): boolean =>
  origin !== null && host !== null && URL.canParse(origin) && new URL(origin).host === host
