/** A piece's whole log in an open format: JSON with its plans, or CSV a line an entry, corrections and all. */
import Papa from 'papaparse'
import * as z from 'zod'
import { findPieceView } from '@/app/_server/load'
import { whatMay } from '@/app/_server/may'
import { loadHouse, readStudio } from '@/app/_server/session'
import type { Entry } from '@/core/log/entry'
import { listClientWords } from '@/db/clientPage'
import { logTable } from '@/words/logTable'
import { plainCell } from '@/words/table'

const fileName = (name: string, as: string) =>
  `${name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, 60)}.${as}`
/** by which a spreadsheet knows the letters */
const byteOrderMark = '\uFEFF'

/** Where money is not seen there is none, rather than nought of it. */
const withoutMoney = (entry: Entry) =>
  Object.fromEntries(Object.entries(entry).filter(([fact]) => fact !== 'money' && fact !== 'fees'))

export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const id = z.uuid().safeParse((await params).id)
  const as = z.enum(['json', 'csv']).safeParse(new URL(request.url).searchParams.get('as'))
  if (!id.success || !as.success) return new Response('Ask for ?as=json or ?as=csv.', { status: 400 })
  const view = await findPieceView(id.data)
  if (!view) return new Response('There is no such piece.', { status: 404 })
  const { file } = view.journey
  const headers = {
    'content-disposition': `attachment; filename="${fileName(file.piece.name, as.data)}"`,
    'cache-control': 'no-store',
  }
  if (as.data === 'json') {
    const said = (await whatMay())('client_word') ? await readStudio((client) => listClientWords(client, id.data)) : null
    return Response.json(
      {
        currency: view.studio.currency,
        ...file,
        ...(view.studio.hidesMoney && { log: file.log.map(withoutMoney) }),
        ...(said && { saidWithClient: said }),
      },
      { headers },
    )
  }
  const { studio } = view
  const table = logTable(file, {
    house: studio,
    people: (await loadHouse()).people,
    channels: view.channels,
    rooms: view.rooms,
  })
  const rows = table.map((row) => Object.fromEntries(Object.entries(row).map(([name, value]) => [name, plainCell(value)])))
  return new Response(`${byteOrderMark}${Papa.unparse(rows)}`, {
    headers: { ...headers, 'content-type': 'text/csv; charset=utf-8' },
  })
}
