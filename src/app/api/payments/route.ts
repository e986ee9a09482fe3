/** What the payment service tells: signed, perhaps twice, perhaps late; each payment is booked once. */
import * as z from 'zod'
import { atDoor } from '@/app/_server/doorWay'
import { instant } from '@/core/input/fields'
import { takeNotice, takeRefusal } from '@/db/payment'
import { isSigned } from '@/paymentSignature'

const mostBytes = 4_000
const notice = z.object({
  request: z.uuid(),
  /** the service's own number of the payment */
  mark: z.string().min(1).max(80),
  result: z.enum(['paid', 'refunded', 'refused']),
  amount: z.number().int().positive(),
  currency: z.string().regex(/^[A-Z]{3}$/),
  at: instant,
})
const said = (status: number, words: string) => Response.json({ words }, { status, headers: { 'cache-control': 'no-store' } })

export async function POST(request: Request): Promise<Response> {
  const text = await request.text()
  if (text.length > mostBytes) return said(413, 'This is more than a notice ever is.')
  const key = process.env.ITINERUM_PAYMENTS_KEY ?? ''
  if (!isSigned(text, request.headers.get('itinerum-signature'), key, Date.now()))
    return said(401, 'This notice is not signed by the payment service of this studio, or was signed too long ago.')
  const parsed = notice.safeParse(parse(text))
  if (!parsed.success) return said(422, 'This notice can’t be read. Nothing was booked.')
  const isRefused = parsed.data.result === 'refused'
  const became = await atDoor((client) => (isRefused ? takeRefusal(client, parsed.data) : takeNotice(client, parsed.data)))
  if (became === null) return said(404, 'Nobody asked for this payment. Nothing was booked.')
  if (became === 'other') return said(409, 'This is not what was asked for. Nothing was booked.')
  if (isRefused) return said(200, 'Noted: nothing was paid.')
  return said(200, became === 'booked' ? 'Booked.' : 'Booked before.')
}
function parse(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}
