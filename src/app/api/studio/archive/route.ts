/** The whole studio as one archive: rows as JSON and as sheets, photographs, their schema. For an owner. */
import { Readable } from 'node:stream'
import { takeAlong } from '@/app/_server/archive'
import { lookUp } from '@/app/_server/door'
import { sessionSecret } from '@/app/_server/session'

export const dynamic = 'force-dynamic'

export async function GET(): Promise<Response> {
  const secret = await sessionSecret()
  const session = await lookUp(secret)
  if (!session?.isOpen) return new Response('Nobody is signed in.', { status: 401 })
  if (session.role !== 'owner') return new Response('The whole studio is taken along by an owner.', { status: 403 })
  const { bytes, name } = await takeAlong(secret)
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
