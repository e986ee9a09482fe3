/** Another password: by the old one, of whoever is in; or by an address that leads to it. */
import { uncommon } from '@/app/_server/commonPassword'
import { changePassword, renewPassword } from '@/app/_server/door'
import { answerCame, cameBy, orBusy, readSent, refused, secretIn } from '@/app/_server/doorAnswer'
import { lookUp } from '@/app/_server/whoIsIn'
import { changePasswordInput, newPasswordInput } from '@/core/input/door'

const changed = uncommon(changePasswordInput)
const renewed = uncommon(newPasswordInput)

export async function PUT(request: Request): Promise<Response> {
  const read = await readSent(request, changed)
  if ('no' in read) return read.no
  const session = await lookUp(secretIn(request))
  if (!session?.isOpen) return refused('signed-out', 401)
  return orBusy(
    changePassword(session, read.sent, cameBy(request)).then((found) =>
      found === 'changed' ? Response.json({ ok: true }) : refused(found, found === 'wait' ? 429 : 422),
    ),
  )
}

export async function POST(request: Request): Promise<Response> {
  const read = await readSent(request, renewed)
  if ('no' in read) return read.no
  return orBusy(renewPassword(read.sent, cameBy(request)).then((found) => answerCame(request, found)))
}
