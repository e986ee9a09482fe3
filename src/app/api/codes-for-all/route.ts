/** Whether a code is asked of everybody of this studio. */
import { answerAsked, cameBy, orBusy, readSent, refused, secretIn } from '@/app/_server/doorAnswer'
import { askCodes } from '@/app/_server/houseRule'
import { lookUp } from '@/app/_server/whoIsIn'
import { codesForAllInput } from '@/core/input/door'

export async function PUT(request: Request): Promise<Response> {
  const read = await readSent(request, codesForAllInput)
  if ('no' in read) return read.no
  const session = await lookUp(secretIn(request))
  if (!session?.isOpen) return refused('signed-out', 401)
  return orBusy(answerAsked(askCodes(session, read.sent, cameBy(request).address)))
}
