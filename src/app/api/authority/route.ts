/** The studio's own authority, for phones that are to trust it; its key never leaves the machine. */
import { readFile } from 'node:fs/promises'

export async function GET(): Promise<Response> {
  const path = process.env.ITINERUM_AUTHORITY
  const found = path ? await readFile(path).catch(() => null) : null
  if (!found)
    return new Response('This studio has no authority of its own. Start it with ./itinerum start --lan.', { status: 404 })
  return new Response(new Uint8Array(found), {
    headers: {
      'content-type': 'application/x-x509-ca-cert',
      'content-disposition': 'attachment; filename="itinerum.crt"',
      'cache-control': 'no-store',
    },
  })
}
