/** What a device has written at the bench, sent in order, one at a time. Answers as every write does. */
import { z } from 'zod'
import { benchActions, type BenchAction } from '@/core/input/bench'
import { writeAtBench } from '@/app/_server/bench'

const mostBytes = 32_000
const sent = z.object({ action: z.enum(benchActions as [BenchAction, ...BenchAction[]]), typed: z.unknown() })

export async function POST(request: Request): Promise<Response> {
  const text = await request.text()
  if (text.length > mostBytes) return Response.json({ issue: 'not-readable' }, { status: 413 })
  const parsed = sent.safeParse(parse(text))
  if (!parsed.success) return Response.json({ issue: 'not-readable' }, { status: 400 })
  return Response.json(await writeAtBench(parsed.data.action, parsed.data.typed))
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}
