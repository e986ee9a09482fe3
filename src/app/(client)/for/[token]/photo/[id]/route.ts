/** A photograph of a client's page, asked for anew each time: what was taken back is gone. */
import { z } from 'zod'
import { findClientPhoto } from '@/app/_server/clientPage'

export async function GET(request: Request, { params }: { params: Promise<{ token: string; id: string }> }): Promise<Response> {
  const { token, id } = await params
  const size = z.enum(['small', 'large']).catch('large').parse(new URL(request.url).searchParams.get('size'))
  const bytes = z.uuid().safeParse(id).success ? await findClientPhoto(token, id, size) : null
  if (!bytes) return new Response('No such photograph.', { status: 404 })
  const etag = `"${id}-${size}"`
  const headers = { ETag: etag, 'Cache-Control': 'private, no-cache', 'X-Robots-Tag': 'noindex' }
  if (request.headers.get('if-none-match') === etag) return new Response(null, { status: 304, headers })
  return new Response(new Uint8Array(bytes), {
    headers: {
      ...headers,
      'Content-Type': 'image/webp',
      'Content-Disposition': 'inline',
      'Content-Security-Policy': "default-src 'none'",
    },
  })
}
