/** The log's rows: reading, and adding; there is no changing. */
import type { Entry } from '../core/log/entry'
import type { OtherWork } from '../core/piece/journey'
import { findConstraint, type Client } from './pool'

/** An entry as its row's columns. */
const toRow = ({ coat, batch, mark, ...entry }: NewEntry) => ({
  ...entry,
  ...coat,
  ...(batch && { ...batch, amount: batch.volume }),
  ...(mark && { photoId: mark.photoId, markX: mark.x, markY: mark.y }),
})

/** What belongs together comes as one: hundreds of rows are read for a page, and most of their columns are empty. */
const entryColumns = `id, piece_id as "pieceId", part_id as "partId", step_id as "stepId", person_id as "personId", kind, at,
  recorded_at as "recordedAt", corrects, minutes, cost_kind as "costKind", money, fees, channel_id as "channelId", note, detail,
  result, check_code as "checkCode", outside, assist, repair, severity, spot, temperature, humidity,
  case when kind = 'coat' then json_build_object('productId', product_id, 'lotId', lot_id, 'batchId', batch_id,
    'family', family, 'mix', mix, 'amount', amount, 'unit', unit, 'applicator', applicator, 'film', film, 'sheen', sheen,
    'place', place) end as coat,
  case when kind = 'mixed' then json_build_object('productId', product_id, 'lotId', lot_id, 'family', family, 'mix', mix,
    'volume', amount, 'unit', unit) end as batch,
  case when photo_id is not null then json_build_object('photoId', photo_id, 'x', mark_x, 'y', mark_y) end as mark`

/** Every entry of the pieces given, corrected ones too, oldest first. */
export async function listEntries(client: Client, pieceIds: readonly string[]): Promise<Entry[]> {
  const { rows } = await client.query<Entry>(`select ${entryColumns} from entry e where piece_id = any($1) order by at, id`, [
    pieceIds,
  ])
  return rows
}

export type NewEntry = Pick<Entry, 'id' | 'pieceId' | 'kind' | 'at'> & Partial<Omit<Entry, 'recordedAt'>>
export type EntryIssue = 'already-corrected' | 'not-believable' | 'not-whole' | 'not-found' | 'id-taken'

/** Constraint names to issues the interface can word. */
const issues: Record<string, EntryIssue> = {
  entry_corrects_once: 'already-corrected',
  entry_corrects_own_piece: 'not-found',
  entry_minutes_believable: 'not-believable',
}

/**
 * Adds entries in one statement; an id that was stored before is left as it is, so that sending twice stores once.
 * Answers with an issue where the database refuses; the transaction is then spent.
 */
export async function addEntries(
  client: Client,
  studioId: string,
  entries: readonly NewEntry[],
): Promise<{ issue: EntryIssue } | null> {
  try {
    await client.query(
      `insert into entry (id, studio_id, piece_id, part_id, step_id, person_id, kind, at, recorded_at, corrects, minutes,
                          product_id, family, mix, amount, unit, applicator, film, sheen, place, cost_kind, money, fees, channel_id,
                          note, detail, result, check_code, outside, assist, repair, severity, spot, temperature, humidity,
                          lot_id, batch_id, photo_id, mark_x, mark_y)
       select id, $2, "pieceId", "partId", "stepId", "personId", kind, at, coalesce("recordedAt", now()), corrects, minutes,
              "productId", family, mix, amount, unit, applicator, film, sheen, place, "costKind", money, fees, "channelId",
              note, detail, result, "checkCode", outside, assist, repair, severity, spot, temperature, humidity,
              "lotId", "batchId", "photoId", "markX", "markY"
       from jsonb_to_recordset($1::jsonb) as e(id uuid, "pieceId" uuid, "partId" uuid, "stepId" uuid, "personId" uuid,
         kind text, at timestamptz, "recordedAt" timestamptz, corrects uuid, minutes numeric, "productId" uuid, family text, mix text, amount numeric,
         unit text, applicator text, film text, sheen text, place text, "costKind" text, money bigint, fees bigint, "channelId" uuid, note text,
         detail jsonb, result text, "checkCode" text, outside text, assist text, repair text, severity text, spot smallint,
         temperature numeric, humidity numeric, "lotId" uuid, "batchId" uuid, "photoId" uuid, "markX" numeric, "markY" numeric)
       on conflict (id) do nothing`,
      [JSON.stringify(entries.map(toRow)), studioId],
    )
  } catch (error) {
    const constraint = findConstraint(error)
    if (constraint === null) throw error
    return { issue: issues[constraint] ?? (constraint.includes('fkey') ? 'not-found' : 'not-whole') }
  }
  const ids = entries.map(({ id }) => id)
  const { rows } = await client.query<{ stored: number }>('select count(*)::int as stored from entry where id = any($1)', [ids])
  return rows[0]?.stored === new Set(ids).size ? null : { issue: 'id-taken' }
}

export async function hasEntry(client: Client, id: string): Promise<boolean> {
  const { rowCount } = await client.query('select from entry where id = $1', [id])
  return rowCount === 1
}

/** The mixes made up since an instant, of any piece, and the coats taken from them, corrections applied. */
export async function listMixLog(client: Client, since: string): Promise<Entry[]> {
  const { rows } = await client.query<Entry>(
    `select ${entryColumns} from entry e
     where ((kind = 'mixed' and at >= $1)
         or batch_id in (select id from entry m where m.kind = 'mixed' and m.at >= $1))
       and not exists (select from entry c where c.corrects = e.id)
     order by at, id`,
    [since],
  )
  return rows
}

/**
 * Clocks of other pieces' steps that were touched on the days given or beside them, corrections applied, with what was worked:
 * they may have run beside these. A step comes whole, whenever it was begun. Days YYYY-MM-DD in UTC.
 */
export async function listOtherWork(client: Client, pieceIds: readonly string[], days: readonly string[]): Promise<OtherWork[]> {
  const { rows } = await client.query<OtherWork>(
    `with near as (
       select distinct (d::date + beside)::timestamp at time zone 'UTC' as midnight
       from unnest($2::text[]) d cross join generate_series(-1, 1) beside
     ), touched as (
       select distinct w.step_id from near join entry w on w.at >= midnight and w.at < midnight + interval '1 day'
       where w.kind in ('started', 'paused', 'resumed', 'ended', 'left-out', 'helped') and not (w.piece_id = any($1))
     )
     select e.step_id as "stepId", e.kind, e.at, e.person_id as "personId", e.minutes, s.operation, s.family, s.colour ->> 'hex' as hex
     from touched join entry e on e.step_id = touched.step_id join step s on s.id = e.step_id
     where e.kind in ('started', 'paused', 'resumed', 'ended', 'left-out', 'helped')
       and not exists (select from entry c where c.corrects = e.id)
     order by e.at, e.id`,
    [pieceIds, days],
  )
  return rows
}

/** The fans and heat guns that stood by the parts given, in order of time, corrections applied. */
export async function listAssistance(
  client: Client,
  partIds: readonly string[],
): Promise<Pick<Entry, 'kind' | 'partId' | 'assist' | 'at'>[]> {
  const { rows } = await client.query<Pick<Entry, 'kind' | 'partId' | 'assist' | 'at'>>(
    `select e.kind, e.part_id as "partId", e.assist, e.at from entry e
     where e.kind in ('assisted', 'unassisted') and e.part_id = any($1)
       and not exists (select from entry c where c.corrects = e.id)
     order by e.at, e.id`,
    [partIds],
  )
  return rows
}
