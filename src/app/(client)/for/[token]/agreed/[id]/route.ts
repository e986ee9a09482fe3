/** What was accepted, to the letter: whoever reckons the digest of this file finds the one that the page shows. */
import * as z from 'zod'
import { readAcceptedByLink } from '@/app/_server/clientDeal'
import { acceptedFile } from '@/app/_server/deals'
import { refused } from '@/app/_server/doorAnswer'

export async function GET(_request: Request, { params }: { params: Promise<{ token: string; id: string }> }): Promise<Response> {
  const { token, id } = await params
  const found = z.uuid().safeParse(id).success ? await readAcceptedByLink(token, id) : 'gone'
  return found === 'gone' ? refused('gone', 404) : acceptedFile(found)
}
