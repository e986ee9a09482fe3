/** A client's yes or no to an offer. */
import { answerAsClient } from '@/app/_server/clientDeal'
import { kept, readSent, refused } from '@/app/_server/doorAnswer'
import { clientAnswerToQuote } from '@/core/input/quote'

const statuses = { gone: 410, over: 409, choose: 422 } as const
export async function POST(request: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> {
  const read = await readSent(request, clientAnswerToQuote)
  if ('no' in read) return read.no
  const answered = await answerAsClient((await params).token, read.sent)
  return answered === 'answered' ? Response.json({ ok: true }, { headers: kept }) : refused(answered, statuses[answered])
}
