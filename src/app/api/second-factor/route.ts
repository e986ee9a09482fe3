/** One's own second factor: begun, confirmed by its figures, its codes printed anew, ended. */
import { answerAsked, cameBy, kept, orBusy, readSent, refused, secretIn } from '@/app/_server/doorAnswer'
import { freshFactor, printAnew, turnOff, turnOn } from '@/app/_server/secondFactor'
import { lookUp } from '@/app/_server/whoIsIn'
import { askedFactorInput, changeFactorInput, nothingInput } from '@/core/input/door'
import type { Session } from '@/db/session'

/** Whoever is in, or would be with a code; nobody of the demo, who come in by one tap. */
async function own(request: Request): Promise<Session | null> {
  const session = await lookUp(secretIn(request))
  return (session?.isOpen || session?.lacksCode) && !session.isDemo ? session : null
}
const out = () => refused('signed-out', 401)

export async function POST(request: Request): Promise<Response> {
  const read = await readSent(request, nothingInput)
  if ('no' in read) return read.no
  const session = await own(request)
  return session ? Response.json(freshFactor(session), { headers: kept }) : out()
}
export async function PUT(request: Request): Promise<Response> {
  const read = await readSent(request, askedFactorInput)
  if ('no' in read) return read.no
  const session = await own(request)
  if (!session) return out()
  const { secret, ...asked } = read.sent
  const { address } = cameBy(request)
  return orBusy(answerAsked(secret ? turnOn(session, { ...asked, secret }, address) : printAnew(session, asked, address)))
}
export async function DELETE(request: Request): Promise<Response> {
  const read = await readSent(request, changeFactorInput)
  if ('no' in read) return read.no
  const session = await own(request)
  return session ? orBusy(answerAsked(turnOff(session, read.sent, cameBy(request).address))) : out()
}
