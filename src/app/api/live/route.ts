/** Server-sent events: `changed`, whenever something of this studio was written; several changes may be told as one. */
import { leaveTurn, tellInTurn } from '@/app/_server/inTurn'
import { changedSince, findOwnChannel, listen } from '@/app/_server/live'
import { readStudio, sessionSecret } from '@/app/_server/session'
import { lookUp, stillIn } from '@/app/_server/whoIsIn'

export const dynamic = 'force-dynamic'
/** keeps the line open through whatever stands between, and as long as one is in */
const breathMs = 15_000

export async function GET(request: Request): Promise<Response> {
  const session = await lookUp(await sessionSecret())
  if (!session?.isOpen) return new Response('Nobody is signed in.', { status: 401 })
  const { studioId } = session
  const channel = await readStudio(findOwnChannel)
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
      const tell = () => say('event: changed\ndata: now\n\n')
      const unlisten = listen(studioId, channel, () => tellInTurn(tell))
      // who was signed out meanwhile is told nothing more; records that can't be reached say nothing of it
      const breathe = async () => {
        if (await stillIn(session).catch(() => true)) return say(': still here\n\n')
        stop()
        controller.close()
      }
      const breath = setInterval(() => void breathe().catch(() => undefined), breathMs)
      stop = () => {
        clearInterval(breath)
        unlisten()
        leaveTurn(tell)
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
