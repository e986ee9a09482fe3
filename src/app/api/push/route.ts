/** Being told of windows while the app is shut: by which key, from now on, and no more; of the session's own browser. */
import * as z from 'zod'
import { kept, readSent, refused, secretIn } from '@/app/_server/doorAnswer'
import { publicKey, tellHere, tellNoMore } from '@/app/_server/push'
import { lookUp } from '@/app/_server/whoIsIn'
import { pushPlaceInput } from '@/core/input/door'

const out = () => refused('signed-out', 401)

export async function GET(request: Request): Promise<Response> {
  const session = await lookUp(secretIn(request))
  return session?.isOpen ? Response.json({ key: await publicKey() }, { headers: kept }) : out()
}
export async function PUT(request: Request): Promise<Response> {
  const read = await readSent(request, pushPlaceInput)
  if ('no' in read) return read.no
  const session = await lookUp(secretIn(request))
  if (!session?.isOpen) return out()
  const told = await tellHere(session, read.sent)
  return 'issue' in told ? refused(told.issue, 422) : Response.json({ ok: true }, { headers: kept })
}
export async function DELETE(request: Request): Promise<Response> {
  const read = await readSent(request, z.object({}))
  if ('no' in read) return read.no
  const session = await lookUp(secretIn(request))
  if (!session?.isOpen) return out()
  await tellNoMore(session)
  return Response.json({ ok: true }, { headers: kept })
}
