/** Invoices and credit notes of a year by their numbers, as CSV for a bookkeeper. */
import Papa from 'papaparse'
import { loadStudio, readStudio } from '@/app/_server/session'
import { whoIsIn } from '@/app/_server/whoIsIn'
import { yearAsked } from '@/app/_server/yearAsked'
import { plainMoney } from '@/core/measure/money'
import { listReceiptsBetween } from '@/db/receipt'
import { plainCell } from '@/words/table'

export async function GET(request: Request): Promise<Response> {
  if (!(await whoIsIn())) return Response.json({ issue: 'signed-out' }, { status: 401 })
  const studio = await loadStudio()
  if (studio.hidesMoney) return Response.json({ issue: 'not-yours' }, { status: 403 })
  const asked = yearAsked(new URL(request.url).searchParams, studio.zone)
  if (!asked) return Response.json({ issue: 'not-readable' }, { status: 400 })
  const { year, from, to } = asked
  const receipts = await readStudio((client) => listReceiptsBetween(client, from, to))
  const rows = receipts.map(({ number, kind, paper, tax }) => {
    const sign = kind === 'credit' ? -1 : 1
    return {
      Number: String(number),
      What: kind === 'invoice' ? 'Invoice' : 'Credit note',
      Day: paper.day,
      'For whom': plainCell(paper.client ?? ''),
      Piece: plainCell(paper.piece),
      'Takes back of': paper.of ? String(paper.of.number) : '',
      Why: plainCell(paper.of?.reason ?? ''),
      Currency: paper.currency,
      Total: plainMoney(sign * paper.total, paper.currency),
      'Tax in it': plainMoney(sign * tax, paper.currency),
    }
  })
  return new Response(`\uFEFF${Papa.unparse(rows)}`, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="receipts-${year}.csv"`,
      'cache-control': 'no-store',
    },
  })
}
