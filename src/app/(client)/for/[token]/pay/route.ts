/** Where a client pays what is due. */
import { payAsClient } from '@/app/_server/clientDeal'
import { kept, readSent, refused } from '@/app/_server/doorAnswer'
import { payInput } from '@/core/input/quote'
import { ownOrigin } from '@/origin'

const statuses = { gone: 410, nothing: 409, silent: 503, much: 429 } as const
export async function POST(request: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> {
  const read = await readSent(request, payInput)
  if ('no' in read) return read.no
  const { token } = await params
  const origin = ownOrigin(request.headers)
  const paying = await payAsClient(token, read.sent, { back: `${origin}/for/${token}`, notice: `${origin}/api/payments` })
  return typeof paying === 'string' ? refused(paying, statuses[paying]) : Response.json(paying, { headers: kept })
}
