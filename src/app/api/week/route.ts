/** The week as data, for pages that ask it something only now and then. */
import { loadWeek } from '@/app/_server/loadWeek'

export const dynamic = 'force-dynamic'

export async function GET(): Promise<Response> {
  return Response.json(await loadWeek(), { headers: { 'cache-control': 'no-store' } })
}
