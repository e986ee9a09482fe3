/** A phone is brought in: whoever is in makes the picture, the phone takes it up. */
import * as z from 'zod'
import { answerAsked, answerCame, cameBy, orBusy, readSent, refused, secretIn } from '@/app/_server/doorAnswer'
import { makePairing, pair } from '@/app/_server/pairing'
import { lookUp } from '@/app/_server/whoIsIn'
import { provenInput, tokenInput } from '@/core/input/door'
import { isTls } from '@/sessionCookie'

export async function POST(request: Request): Promise<Response> {
  const read = await readSent(request, provenInput)
  if ('no' in read) return read.no
  const session = await lookUp(secretIn(request))
  if (!session?.isOpen) return refused('signed-out', 401)
  const own = `${isTls(request.headers) ? 'https' : 'http'}://${request.headers.get('host') ?? ''}`
  return orBusy(answerAsked(makePairing(session, read.sent, { address: cameBy(request).address, own })))
}
const typed = z.object({ token: tokenInput })

export async function PUT(request: Request): Promise<Response> {
  const read = await readSent(request, typed)
  if ('no' in read) return read.no
  return answerCame(request, await pair(read.sent.token, cameBy(request)))
}
