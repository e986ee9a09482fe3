/** Every piece that left lately with what came of it, as CSV: words and currency, no codes. */
import Papa from 'papaparse'
import { loadTaught } from '@/app/_server/taught'
import { whoIsIn } from '@/app/_server/whoIsIn'
import { taughtBy } from '@/core/house/taught'
import { outcomes } from '@/core/log/entry'
import { plainMoney } from '@/core/measure/money'
import { plainCell } from '@/words/table'
import { byWords, groupWords } from '@/words/taught'

export async function GET(): Promise<Response> {
  if (!(await whoIsIn())) return Response.json({ issue: 'signed-out' }, { status: 401 })
  const { studio, results, channels, people } = await loadTaught()
  if (studio.hidesMoney) return Response.json({ issue: 'not-yours' }, { status: 403 })
  const around = { wall: studio, channels, people }
  const money = (minor: number) => plainMoney(minor, studio.currency)
  const keys = {
    look: 'look',
    article: 'article',
    source: 'source',
    channel: 'channelId',
    month: 'month',
    painter: 'painterId',
  } as const
  const rows = results.map((result) => ({
    Piece: plainCell(result.name),
    'How it left': outcomes[result.outcome],
    On: result.endedAt.slice(0, 10),
    ...Object.fromEntries(
      taughtBy.map((by) => [byWords[by].replace('by ', ''), plainCell(groupWords(by, result[keys[by]], around))]),
    ),
    [`Price, ${studio.currency}`]: money(result.price),
    [`Fees, ${studio.currency}`]: money(result.fees),
    [`Rent of the place, ${studio.currency}`]: money(result.rent),
    [`Tax, ${studio.currency}`]: money(result.tax),
    [`What it cost, ${studio.currency}`]: money(result.cost),
    [`Left, ${studio.currency}`]: money(result.left),
    Hours: result.hours,
    'Hours planned': Math.round(result.plannedHours * 100) / 100,
    'Days from door to door': result.days.door,
    'Days with hands on it': result.days.hands,
    'Days on sale': result.days.onSale,
  }))
  return new Response(`\uFEFF${Papa.unparse(rows)}`, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="earned.csv"',
      'cache-control': 'no-store',
    },
  })
}
