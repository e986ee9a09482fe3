/** Whether what came in with an archive is what the application reads: asked of its own readers, piece by piece. */
import type pg from 'pg'
import { v7 as uuidv7 } from 'uuid'
import { type Fault, tableFile } from '@/core/house/archive'
import { readPieces } from '@/core/piece/journey'
import { listForecasts } from './airAhead'
import { listClientWords } from './clientPage'
import { listLastReadings, listRooms } from './climate'
import { listLearned } from './dryingFigures'
import { findPieces, listPieceFiles } from './piece'
import type { Client } from './pool'
import { listRecipes } from './recipe'
import { UnreadableRow } from './rows'
import { freshSecret } from './secret'
import { openSession } from './session'
import { listLots } from './stock'
import { getStudio, listChannels, listPeople, listProducts } from './studio'
import { findWeek, listOtherDays, listPersonHours } from './week'

const always = '1970-01-01'
/** By the table that is read first. */
const readers: Readonly<Record<string, (client: Client) => Promise<unknown>>> = {
  studio: getStudio,
  person: listPeople,
  'person ': listPersonHours,
  product: listProducts,
  lot: listLots,
  channel: listChannels,
  room: listRooms,
  reading: listLastReadings,
  drying_figure: listLearned,
  recipe: listRecipes,
  week_plan: findWeek,
  other_day: (client) => listOtherDays(client, always),
  air_forecast: (client) => listForecasts(client, always),
}

/** What can't be read, of a studio that a database was filled with, as its owner; the first of each piece, and of each other table. */
export async function unreadableIn(owner: pg.ClientBase, studioId: string): Promise<Fault[]> {
  const [id, secret] = [uuidv7(), freshSecret()]
  const faults: Fault[] = []
  const attempt = async (file: string, work: () => Promise<unknown>) => {
    try {
      await work()
    } catch (error) {
      // a refusal of the database is no fault of the archive
      if (!(error instanceof Error) || 'severity' in error) throw error
      faults.push({
        file,
        is: 'not-readable',
        why: error instanceof UnreadableRow ? error.message : `the application: ${error.message}`,
      })
    }
  }
  await owner.query('begin')
  try {
    await openSession(owner, { id, secret, studioId, membershipId: null, days: 1 })
    await owner.query('select enter($1)', [secret])
    for (const [table, reader] of Object.entries(readers)) await attempt(tableFile(table.trim()), () => reader(owner))
    const { rows } = await owner.query<{ id: string; name: string }>(
      'select id, name from piece where studio_id = $1 order by id',
      [studioId],
    )
    for (const piece of rows)
      await attempt(`${tableFile('piece')}, “${piece.name}”`, async () => {
        const files = await listPieceFiles(owner, await findPieces(owner, [piece.id]))
        readPieces(files, { climateOf: () => [], nowMs: Date.now() })
        await listClientWords(owner, piece.id)
      })
  } finally {
    // the session was there for this alone
    await owner.query('rollback')
  }
  return faults
}
