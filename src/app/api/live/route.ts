/** Server-sent events: `changed`, with the table's name, whenever something of this studio was written. */
import { whoIsIn } from '@/app/_server/door'
import { changedSince, listen } from '@/app/_server/live'

export const dynamic = 'force-dynamic'
/** keeps the line open through whatever stands between */
const breathMs = 20_000

export async function GET(request: Request): Promise<Response> {
  const session = await whoIsIn()
  if (!session) return new Response('Nobody is signed in.', { status: 401 })
  const { studioId } = session
  const encoder = new TextEncoder()
  let stop: () => void = () => undefined
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const say = (text: string) => {
        try {
          controller.enqueue(encoder.encode(text))
        } catch {
          stop()
        }
      }
      const unlisten = listen(studioId, (table) => say(`event: changed\ndata: ${table}\n\n`))
      const breath = setInterval(() => say(': still here\n\n'), breathMs)
      stop = () => {
        clearInterval(breath)
        unlisten()
      }
      request.signal.addEventListener('abort', stop)
      say('retry: 1000\n\n')
      const since = Number(new URL(request.url).searchParams.get('since'))
      if (since > 0 && changedSince(studioId, since)) say('event: changed\ndata: since\n\n')
    },
    cancel: () => stop(),
  })
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' },
  })
}
