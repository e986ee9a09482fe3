/** How a photograph is answered: by its kind alone, and not again where it is there already. */
import 'server-only'

/** `cache`: how long whoever asks may keep it. */
export function answerPicture(
  request: Request,
  { etag, bytes, cache }: { etag: string; bytes: Buffer; cache: string },
): Response {
  const headers = { ETag: etag, 'Cache-Control': cache }
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
export const noPicture = (): Response => new Response('No such photograph.', { status: 404 })
