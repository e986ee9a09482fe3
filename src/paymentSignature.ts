/** How the payment service and this server sign what they tell each other: the moment and a keyed digest of moment and body. */
import { createHmac, timingSafeEqual } from 'node:crypto'

/** a notice may come late, but what was signed longer ago is not believed; a service signs each try anew */
const believedMs = 10 * 60_000
const digest = (text: string, key: string, atMs: number): string =>
  createHmac('sha256', key).update(`${atMs}.${text}`).digest('hex')

/** As it stands in the header `itinerum-signature`. */
export const signed = (text: string, key: string, atMs: number): string => `at=${atMs},by=${digest(text, key, atMs)}`

/** Whether it was signed by who has the key, lately. */
export function isSigned(text: string, header: string | null, key: string, nowMs: number): boolean {
  const [, at = '', by = ''] = /^at=(\d{10,16}),by=([0-9a-f]{64})$/.exec(header ?? '') ?? []
  if (key === '' || at === '' || Math.abs(nowMs - Number(at)) > believedMs) return false
  return timingSafeEqual(Buffer.from(by, 'hex'), Buffer.from(digest(text, key, Number(at)), 'hex'))
}
