/** The week as data, for pages that ask it something only now and then. */
import { loadWeek } from '@/app/_server/loadWeek'

export const dynamic = 'force-dynamic'

export async function GET(): Promise<Response> {
  return new Response(await loadWeek(), { headers: { 'content-type': 'application/json', 'cache-control': 'no-store' } })
}
