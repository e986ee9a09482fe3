/** Coming in by name and password, or into the demo by one tap; going over into another studio of one's own; and going out. */
import * as z from 'zod'
import { listDemo, signIn, signInToDemo, switchTo } from '@/app/_server/door'
import { answerAsked, answerCame, answerGone, cameBy, orBusy, readSent, refused, secretIn } from '@/app/_server/doorAnswer'
import { signOut } from '@/app/_server/signOut'
import { lookUp } from '@/app/_server/whoIsIn'
import { provenInput, signInText } from '@/core/input/door'

const typed = z.union([signInText, z.object({ demo: z.uuid() }), z.object({ membership: z.uuid() })])

/** Who may come in by one tap: everybody of the demo, and nobody of any other studio. */
export async function GET(): Promise<Response> {
  const demo = await listDemo()
  const shown = demo.map(({ id, personName, role, studioName }) => ({ id, personName, role, studioName }))
  return Response.json({ demo: shown }, { headers: { 'cache-control': 'no-store' } })
}

export async function POST(request: Request): Promise<Response> {
  const read = await readSent(request, typed)
  if ('no' in read) return read.no
  const { sent } = read
  const came = cameBy(request)
  if ('membership' in sent) {
    const session = await lookUp(came.before)
    return session?.isOpen ? answerCame(request, await switchTo(session, sent.membership, came)) : refused('signed-out', 401)
  }
  return orBusy(('demo' in sent ? signInToDemo(sent.demo, came) : signIn(sent, came)).then((found) => answerCame(request, found)))
}

/** without ids the session of this very device */
const ending = provenInput.extend({ ids: z.array(z.uuid()).max(50).optional() })

export async function DELETE(request: Request): Promise<Response> {
  const read = await readSent(request, ending)
  if ('no' in read) return read.no
  const session = await lookUp(secretIn(request))
  if (!session?.isOpen && !session?.lacksCode) return answerGone(request)
  const { ids = [session.id], ...proof } = read.sent
  const answer = await orBusy(answerAsked(signOut(session, ids, proof, cameBy(request).address)))
  return answer.ok && ids.includes(session.id) ? answerGone(request) : answer
}
