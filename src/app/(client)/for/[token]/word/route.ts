/** A question of a client's. */
import { askAsClient } from '@/app/_server/clientPage'
import { kept, readSent, refused } from '@/app/_server/doorAnswer'
import { clientAskInput } from '@/core/input/client'

export async function POST(request: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> {
  const read = await readSent(request, clientAskInput, mostBytes)
  if ('no' in read) return read.no
  const asked = await askAsClient((await params).token, read.sent)
  if (asked === 'asked') return Response.json({ ok: true }, { headers: kept })
  return asked === 'much' ? refused('wait', 429) : refused('gone', 410)
}
/** the longest question, each letter in three bytes, and its number */
const mostBytes = 8_000
