/** Whether the server can reach its records. */
import { readStudio } from '@/app/_server/session'
import { getStudio } from '@/db/studio'

export const dynamic = 'force-dynamic'

export async function GET() {
  try {
    await readStudio(getStudio, 0)
    return Response.json({ ok: true })
  } catch {
    return Response.json({ ok: false }, { status: 503 })
  }
}
