/** What a device has written at the bench, sent in order, one at a time. Answers as every write does. */
import * as z from 'zod'
import { writeAtBench } from '@/app/_server/bench'
import { awayActions } from '@/core/input/away'
import { benchActions } from '@/core/input/bench'

const mostBytes = 32_000
const sent = z.object({ action: z.enum([...benchActions, ...awayActions]), typed: z.unknown() })

export async function POST(request: Request): Promise<Response> {
  if (Number(request.headers.get('content-length') ?? 0) > mostBytes)
    return Response.json({ issue: 'not-readable' }, { status: 413 })
  const text = await request.text()
  if (text.length > mostBytes) return Response.json({ issue: 'not-readable' }, { status: 413 })
  const parsed = sent.safeParse(parse(text))
  if (!parsed.success) return Response.json({ issue: 'not-readable' }, { status: 400 })
  const answer = await writeAtBench(parsed.data.action, parsed.data.typed)
  const wait = 'issue' in answer && (answer.issue === 'unreachable' || answer.issue === 'busy')
  return Response.json(answer, wait ? { status: 503, headers: { 'retry-after': '2' } } : undefined)
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}
