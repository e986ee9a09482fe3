/** Whether the server can reach its records, by both of its ways. */
import { listDemo } from '@/app/_server/door'
import { pool } from '@/app/_server/session'

export const dynamic = 'force-dynamic'

export async function GET() {
  try {
    await Promise.all([pool().query('select'), listDemo(0)])
    return Response.json({ ok: true })
  } catch {
    return Response.json({ ok: false }, { status: 503 })
  }
}
