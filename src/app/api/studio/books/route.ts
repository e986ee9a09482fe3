/** The books of a year as CSV for a bookkeeper: every posting, or month by month with what stood in each account. */
import Papa from 'papaparse'
import * as z from 'zod'
import { loadStudio, readStudio } from '@/app/_server/session'
import { whoIsIn } from '@/app/_server/whoIsIn'
import { yearAsked } from '@/app/_server/yearAsked'
import { accounts, monthsOf, postingsOf } from '@/core/house/books'
import { plainMoney } from '@/core/measure/money'
import { dayOf } from '@/core/measure/time'
import { listDealt, listMovements, listTinsMoved } from '@/db/books'
import { listPieceNames } from '@/db/piece'
import { postingWords } from '@/words/books'
import { plainCell } from '@/words/table'

const bySchema = z.enum(['month', 'posting']).default('month')

export async function GET(request: Request): Promise<Response> {
  if (!(await whoIsIn())) return Response.json({ issue: 'signed-out' }, { status: 401 })
  const studio = await loadStudio()
  if (studio.hidesMoney) return Response.json({ issue: 'not-yours' }, { status: 403 })
  const { searchParams } = new URL(request.url)
  const asked = yearAsked(searchParams, studio.zone)
  const by = bySchema.safeParse(searchParams.get('by') ?? undefined)
  if (!asked || !by.success) return Response.json({ issue: 'not-readable' }, { status: 400 })
  const { year, to: end } = asked
  const { postings, names } = await readStudio(async (client) => {
    const found = postingsOf(
      await listMovements(client, end),
      await listTinsMoved(client, end),
      studio,
      await listDealt(client, end),
    )
    const own = found.filter(({ at }) => dayOf(at, studio.zone).startsWith(`${year}-`))
    const ids = [...new Set(own.flatMap(({ pieceId }) => pieceId ?? []))]
    return { postings: found, names: by.data === 'posting' ? await listPieceNames(client, ids) : new Map<string, string>() }
  })
  const money = (minor: number) => plainMoney(minor, studio.currency)
  const rows: Record<string, string>[] =
    by.data === 'month'
      ? monthsOf(postings, year, studio.zone).map(({ month, account, opening, debit, credit, closing }) => ({
          Month: month,
          Account: accounts[account],
          [`Opening, ${studio.currency}`]: money(opening),
          [`Debit, ${studio.currency}`]: money(debit),
          [`Credit, ${studio.currency}`]: money(credit),
          [`Closing, ${studio.currency}`]: money(closing),
        }))
      : postings
          .filter(({ at }) => dayOf(at, studio.zone).startsWith(`${year}-`))
          .map(({ at, kind, pieceId, debit, credit, amount }) => ({
            Day: dayOf(at, studio.zone),
            What: postingWords[kind],
            Piece: plainCell(pieceId === null ? '' : (names.get(pieceId) ?? '')),
            Debit: accounts[debit],
            Credit: accounts[credit],
            [`Amount, ${studio.currency}`]: money(amount),
          }))
  return new Response(`\uFEFF${Papa.unparse(rows)}`, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="books-${year}-${by.data}.csv"`,
      'cache-control': 'no-store',
    },
  })
}
