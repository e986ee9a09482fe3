/** Whether the server can reach its records. */
import { loadStudio } from '@/app/_server/session'

export const dynamic = 'force-dynamic'

export async function GET() {
  try {
    await loadStudio()
    return Response.json({ ok: true })
  } catch {
    return Response.json({ ok: false }, { status: 503 })
  }
}
