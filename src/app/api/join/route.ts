/** An invitation that is taken up: who comes chooses a name and a password, and is in. */
import { uncommon } from '@/app/_server/commonPassword'
import { join } from '@/app/_server/door'
import { answerCame, cameBy, orBusy, readSent } from '@/app/_server/doorAnswer'
import { joinInput } from '@/core/input/door'

const typed = uncommon(joinInput)

export async function POST(request: Request): Promise<Response> {
  const read = await readSent(request, typed)
  if ('no' in read) return read.no
  return orBusy(join(read.sent, cameBy(request)).then((found) => answerCame(request, found)))
}
