/** What a client accepted, to the letter: its digest is of the very bytes of this file. */
import { z } from 'zod'
import { acceptedFile } from '@/app/_server/deals'
import { whoIsIn } from '@/app/_server/door'
import { readStudio } from '@/app/_server/session'
import { findAccepted } from '@/db/quote'

export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  if (!(await whoIsIn())) return Response.json({ issue: 'signed-out' }, { status: 401 })
  const id = z.uuid().safeParse((await params).id)
  const found = id.success ? await readStudio((client) => findAccepted(client, id.data)) : null
  return found ? acceptedFile(found) : Response.json({ issue: 'not-found' }, { status: 404 })
}
