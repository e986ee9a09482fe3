/** The log's rows: reading, and adding; there is no changing. */
import type { Entry } from '../core/log/entry'
import { findConstraint, type Client } from './pool'

interface EntryRow extends Omit<Entry, 'coat'> {
  productId: string | null
  family: NonNullable<Entry['coat']>['family'] | null
  mix: string | null
  amount: number | null
  unit: 'ml' | 'g' | null
  applicator: string | null
  film: NonNullable<Entry['coat']>['film'] | null
}

function toEntry({ productId, family, mix, amount, unit, applicator, film, ...row }: EntryRow): Entry {
  const whole = family !== null && amount !== null && unit !== null && film !== null
  return { ...row, coat: whole ? { productId, family, mix, amount, unit, applicator, film } : null }
}

/** Every entry of the pieces given, corrected ones too, oldest first. */
export async function listEntries(client: Client, pieceIds: readonly string[]): Promise<Entry[]> {
  const { rows } = await client.query<EntryRow>(
    `select id, piece_id as "pieceId", part_id as "partId", step_id as "stepId", person_id as "personId", kind, at,
            recorded_at as "recordedAt", corrects, minutes, product_id as "productId", family, mix, amount, unit,
            applicator, film, cost_kind as "costKind", money, fees, channel_id as "channelId", note, detail
     from entry where piece_id = any($1) order by at, id`,
    [pieceIds],
  )
  return rows.map(toEntry)
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
  const flat = entries.map(({ coat, ...entry }) => ({ ...entry, ...coat }))
  try {
    await client.query(
      `insert into entry (id, studio_id, piece_id, part_id, step_id, person_id, kind, at, recorded_at, corrects, minutes,
                          product_id, family, mix, amount, unit, applicator, film, cost_kind, money, fees, channel_id, note, detail)
       select id, $2, "pieceId", "partId", "stepId", "personId", kind, at, coalesce("recordedAt", now()), corrects, minutes,
              "productId", family, mix, amount, unit, applicator, film, "costKind", money, fees, "channelId", note, detail
       from jsonb_to_recordset($1::jsonb) as e(id uuid, "pieceId" uuid, "partId" uuid, "stepId" uuid, "personId" uuid,
         kind text, at timestamptz, "recordedAt" timestamptz, corrects uuid, minutes numeric, "productId" uuid, family text, mix text, amount numeric,
         unit text, applicator text, film text, "costKind" text, money bigint, fees bigint, "channelId" uuid, note text,
         detail jsonb)
       on conflict (id) do nothing`,
      [JSON.stringify(flat), studioId],
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
