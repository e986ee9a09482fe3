/** Keys for other programs: made and taken back by an owner, who says again that it is them. */
import { answerAsked, cameBy, orBusy, readSent, refused, secretIn } from '@/app/_server/doorAnswer'
import { endKey, makeKey } from '@/app/_server/keys'
import { lookUp } from '@/app/_server/whoIsIn'
import { keyBackInput, keyInput } from '@/core/input/door'

export async function POST(request: Request): Promise<Response> {
  const read = await readSent(request, keyInput)
  if ('no' in read) return read.no
  const session = await lookUp(secretIn(request))
  if (!session?.isOpen) return refused('signed-out', 401)
  return orBusy(answerAsked(makeKey(session, read.sent, cameBy(request).address)))
}
export async function DELETE(request: Request): Promise<Response> {
  const read = await readSent(request, keyBackInput)
  if ('no' in read) return read.no
  const session = await lookUp(secretIn(request))
  if (!session?.isOpen) return refused('signed-out', 401)
  return orBusy(answerAsked(endKey(session, read.sent.id)))
}
