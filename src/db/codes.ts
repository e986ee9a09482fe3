/**
 * The codes that this version knows, kept beside the data: the database refuses any other where it is written. At a start the
 * table is brought up to date, and what holds a code that is known no more is found and named.
 */
import type pg from 'pg'
import { cautionCodes } from '@/core/craft/cautions'
import { families } from '@/core/craft/families'
import { lookCodes } from '@/core/craft/looks'
import { checkCodes, operations } from '@/core/craft/operations'
import { codesOf, existingFinishes, partKinds, substrates } from '@/core/craft/parts'
import { reasonCodes } from '@/core/craft/recipe'
import { remedies } from '@/core/craft/remedies'
import { topcoatCodes } from '@/core/craft/topcoats'
import { articles } from '@/core/piece/articles'

/** The piece itself among its parts: what carries the work around the paint. */
export const wholeKind = 'whole'
const known: Record<string, readonly string[]> = {
  family: codesOf(families),
  operation: codesOf(operations),
  look: lookCodes,
  seal: topcoatCodes,
  'part-kind': [...codesOf(partKinds), wholeKind],
  substrate: codesOf(substrates),
  existing: codesOf(existingFinishes),
  check: checkCodes,
  caution: cautionCodes,
  reason: reasonCodes,
  remedy: codesOf(remedies),
  article: codesOf(articles),
}
/** Where codes stand: table, column, kind. A column may hold a list of them. */
const places: readonly (readonly [table: string, column: string, kind: string])[] = [
  ['product', 'family', 'family'],
  ['part', 'kind', 'part-kind'],
  ['part', 'substrate', 'substrate'],
  ['part', 'existing', 'existing'],
  ['plan', 'look', 'look'],
  ['plan', 'extras', 'look'],
  ['plan', 'paint', 'family'],
  ['plan', 'seal', 'seal'],
  ['plan', 'touch_operations', 'operation'],
  ['plan', 'touch_families', 'family'],
  ['step', 'operation', 'operation'],
  ['step', 'family', 'family'],
  ['step', 'check_code', 'check'],
  ['step', 'reason', 'reason'],
  ['step', 'cautions', 'caution'],
  ['entry', 'family', 'family'],
  ['entry', 'check_code', 'check'],
  ['entry', 'remedy', 'remedy'],
  ['drying_figure', 'family', 'family'],
  ['piece', 'article', 'article'],
]

/** Brings the table of codes up to date, as the database's owner. */
export async function keepCodes(owner: pg.ClientBase): Promise<void> {
  const pairs = Object.entries(known).flatMap(([kind, codes]) => codes.map((code) => ({ kind, code })))
  const rows = [JSON.stringify(pairs)]
  await owner.query('begin')
  await owner.query(
    `delete from code c where not exists (
       select from jsonb_to_recordset($1::jsonb) as k(kind text, code text) where k.kind = c.kind and k.code = c.code)`,
    rows,
  )
  await owner.query(
    `insert into code (kind, code) select kind, code from jsonb_to_recordset($1::jsonb) as k(kind text, code text)
     on conflict do nothing`,
    rows,
  )
  await owner.query('commit')
}

export interface UnknownCode {
  table: string
  column: string
  id: string
  code: string
}
/** Rows that hold a code that is not known, at most `limit` of a column. */
export async function findUnknownCodes(owner: pg.ClientBase, limit = 5): Promise<UnknownCode[]> {
  const found: UnknownCode[] = []
  for (const [table, column, kind] of places) {
    // what is distinct is little, however long the log
    const { rows } = await owner.query<{ code: string }>(
      `select distinct each as code from ${table}, jsonb_array_elements_text(
         case jsonb_typeof(to_jsonb(${column})) when 'array' then to_jsonb(${column}) else jsonb_build_array(${column}) end) as each
       where each is not null and not exists (select from code c where c.kind = $1 and c.code = each)`,
      [kind],
    )
    for (const { code } of rows) {
      const where = await owner.query<{ id: string }>(
        `select id from ${table} where to_jsonb(${column}) @> to_jsonb($1::text) or to_jsonb(${column}) = to_jsonb($1::text) limit $2`,
        [code, limit],
      )
      found.push(...where.rows.map(({ id }) => ({ table, column, id, code })))
    }
  }
  return found
}
