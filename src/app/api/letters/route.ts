/** An address that was made is sent by a letter. */
import { answerAsked, readSent, refused, secretIn } from '@/app/_server/doorAnswer'
import { writeLetter } from '@/app/_server/letters'
import { lookUp } from '@/app/_server/whoIsIn'
import { letterInput } from '@/core/input/door'

export async function POST(request: Request): Promise<Response> {
  const read = await readSent(request, letterInput)
  if ('no' in read) return read.no
  const session = await lookUp(secretIn(request))
  return session?.isOpen ? answerAsked(writeLetter(session, read.sent)) : refused('signed-out', 401)
}
