/**
 * The service that takes clients' money: asked for a page where to pay, or to give back; what it tells of it later comes signed. Its address
 * and its secret are `ITINERUM_PAYMENTS` and `ITINERUM_PAYMENTS_KEY`; without them money is written down by hand.
 *
 *   POST {address}/requests  { id, amount, currency, about, back, notice }  → 201 { page }
 *   POST {address}/refunds   { id, of, amount, currency, notice }           → 202
 *
 * Amounts in minor units. Both bear `itinerum-signature`, as its notices do.
 */
import 'server-only'
import * as z from 'zod'
import { signed } from '@/paymentSignature'

const patienceMs = 8_000
const address = () => process.env.ITINERUM_PAYMENTS ?? ''
const key = () => process.env.ITINERUM_PAYMENTS_KEY ?? ''
export const hasPaymentService = (): boolean => address() !== '' && key() !== ''

const madePage = z.object({ page: z.url() })
async function ask(path: string, body: object): Promise<unknown> {
  const text = JSON.stringify(body)
  const response = await fetch(`${address()}${path}`, {
    method: 'POST',
    body: text,
    headers: { 'content-type': 'application/json', 'itinerum-signature': signed(text, key(), Date.now()) },
    signal: AbortSignal.timeout(patienceMs),
  }).catch(() => null)
  if (!response?.ok) return null
  return response.json().catch(() => null)
}

/** Where to pay; null where the service does not answer. Asked anew under the same number it is the same request. */
export async function pageToPay(request: {
  id: string
  amount: number
  currency: string
  about: string
  back: string
  notice: string
}): Promise<string | null> {
  const parsed = madePage.safeParse(await ask('/requests', request))
  // it may send the client to itself alone
  return parsed.success && new URL(parsed.data.page).origin === new URL(address()).origin ? parsed.data.page : null
}
/** Whether it took the wish to give back; that it did is told later. */
export const askRefund = async (refund: {
  id: string
  of: string
  amount: number
  currency: string
  notice: string
}): Promise<boolean> => (await ask('/refunds', refund)) !== null
