/** The whole studio as one archive: rows as JSON and as sheets, photographs, their schema. For an owner. */
import { Readable } from 'node:stream'
import { takeAlong } from '@/app/_server/archive'
import { sessionSecret } from '@/app/_server/session'
import { TooMany } from '@/app/_server/turns'
import { lookUp } from '@/app/_server/whoIsIn'

export const dynamic = 'force-dynamic'

export async function GET(): Promise<Response> {
  const secret = await sessionSecret()
  const session = await lookUp(secret)
  if (!session?.isOpen) return new Response('Nobody is signed in.', { status: 401 })
  if (session.role !== 'owner') return new Response('The whole studio is taken along by an owner.', { status: 403 })
  const taken = await takeAlong(secret).catch((error: unknown) => {
    if (error instanceof TooMany) return null
    throw error
  })
  if (!taken)
    return new Response('Others fetch theirs just now. Try again in some minutes.', {
      status: 503,
      headers: { 'retry-after': '60' },
    })
  const { bytes, name } = taken
  const file = `${name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, 60)}-${new Date().toISOString().slice(0, 10)}.zip`
  return new Response(Readable.toWeb(bytes) as ReadableStream<Uint8Array>, {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="${file}"`,
      'cache-control': 'no-store',
    },
  })
}
