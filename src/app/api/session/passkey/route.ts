/** Coming in by a passkey: what it is to sign, and in by what it signed. */
import { answerCame, kept, readSent, refused } from '@/app/_server/doorAnswer'
import { askToSign, comeInBy } from '@/app/_server/passkeys'
import { nothingInput, signedPasskeyInput } from '@/core/input/door'

const mostSigned = 20_000

export async function POST(request: Request): Promise<Response> {
  const read = await readSent(request, nothingInput)
  if ('no' in read) return read.no
  const asked = await askToSign(request)
  return asked ? Response.json(asked, { headers: kept }) : refused('bare-number', 409)
}
export async function PUT(request: Request): Promise<Response> {
  const read = await readSent(request, signedPasskeyInput, mostSigned)
  return 'no' in read ? read.no : answerCame(request, await comeInBy(read.sent, request))
}
