/** What was accepted, as a file. */
import 'server-only'

/** The very bytes that its digest is of. */
export const acceptedFile = ({ text, digest }: { text: string; digest: string }): Response =>
  new Response(text, {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': `attachment; filename="agreed-${digest.slice(0, 12)}.json"`,
      'cache-control': 'no-store',
      'x-content-type-options': 'nosniff',
    },
  })
