/** What the studio's interface is, for programs and for whoever writes them; it tells nothing of any studio. */
import { openApi } from '@/core/input/api'

export function GET(request: Request): Response {
  const { protocol } = new URL(request.url)
  return Response.json(
    openApi(`${request.headers.get('x-forwarded-proto') ?? protocol.slice(0, -1)}://${request.headers.get('host') ?? ''}`),
    {
      headers: { 'cache-control': 'no-store' },
    },
  )
}
