/** Invoices and credit notes of a year by their numbers, as CSV for a bookkeeper. */
import Papa from 'papaparse'
import { z } from 'zod'
import { whoIsIn } from '@/app/_server/door'
import { loadStudio, readStudio } from '@/app/_server/session'
import { plainMoney } from '@/core/measure/money'
import { dayOf, instantOf } from '@/core/measure/time'
import { listReceiptsBetween } from '@/db/receipt'
import { plainCell } from '@/words/table'

const asked = z.object({ year: z.coerce.number().int().min(2000).max(2098) })

export async function GET(request: Request): Promise<Response> {
  if (!(await whoIsIn())) return Response.json({ issue: 'signed-out' }, { status: 401 })
  const studio = await loadStudio()
  if (studio.hidesMoney) return Response.json({ issue: 'not-yours' }, { status: 403 })
  const thisYear = Number(dayOf(new Date().toISOString(), studio.zone).slice(0, 4))
  const parsed = asked.safeParse({ year: thisYear, ...Object.fromEntries(new URL(request.url).searchParams) })
  if (!parsed.success) return Response.json({ issue: 'not-readable' }, { status: 400 })
  const { year } = parsed.data
  const startOf = (n: number) => instantOf(`${n}-01-01T00:00`, studio.zone) ?? `${n}-01-01T00:00:00.000Z`
  const receipts = await readStudio((client) => listReceiptsBetween(client, startOf(year), startOf(year + 1)))
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
