/** What happened at the doors and to what the house goes by, as CSV: of the whole studio for its owner, of oneself for anybody else. */
import Papa from 'papaparse'
import { listOwnHappened } from '@/app/_server/door'
import { loadStudio } from '@/app/_server/session'
import { whoIsIn } from '@/app/_server/whoIsIn'
import { happenedWords } from '@/words/happened'
import { plainCell } from '@/words/table'

const most = 10_000

export async function GET(): Promise<Response> {
  const session = await whoIsIn()
  if (!session) return Response.json({ issue: 'signed-out' }, { status: 401 })
  const studio = await loadStudio()
  const rows = (await listOwnHappened(session, most)).map((each) => ({
    at: each.at,
    what: plainCell(happenedWords(each, studio)),
    by: plainCell(each.by ?? ''),
    about: plainCell(each.about ?? ''),
    from: plainCell(each.address ?? ''),
    browser: plainCell(each.agent ?? ''),
  }))
  return new Response(Papa.unparse(rows), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="doors.csv"',
      'cache-control': 'no-store',
    },
  })
}
