/** One's own passkeys: asked for, kept when a browser has made one, and ended. */
import { answerAsked, cameBy, orBusy, readSent, refused, secretIn } from '@/app/_server/doorAnswer'
import { askToMake, endOwn, keepMade } from '@/app/_server/passkeys'
import { lookUp } from '@/app/_server/whoIsIn'
import { askPasskeyInput, endPasskeyInput, keepPasskeyInput } from '@/core/input/door'
import type { Session } from '@/db/session'

/** Nobody of the demo, who come in by one tap. */
async function own(request: Request): Promise<Session | null> {
  const session = await lookUp(secretIn(request))
  return session?.isOpen && !session.isDemo ? session : null
}
const out = () => refused('signed-out', 401)
/** what is made says more of itself than a form does */
const mostMade = 30_000

export async function POST(request: Request): Promise<Response> {
  const read = await readSent(request, askPasskeyInput)
  if ('no' in read) return read.no
  const session = await own(request)
  return session ? orBusy(answerAsked(askToMake(session, read.sent, request))) : out()
}
export async function PUT(request: Request): Promise<Response> {
  const read = await readSent(request, keepPasskeyInput, mostMade)
  if ('no' in read) return read.no
  const session = await own(request)
  return session ? answerAsked(keepMade(session, read.sent, request)) : out()
}
export async function DELETE(request: Request): Promise<Response> {
  const read = await readSent(request, endPasskeyInput)
  if ('no' in read) return read.no
  const session = await own(request)
  return session ? orBusy(answerAsked(endOwn(session, read.sent, cameBy(request).address))) : out()
}
