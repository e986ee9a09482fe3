/** A whole studio, table by table: what the catalogue says there is, its rows as they stand, and rows put back as they stood. */
import type pg from 'pg'
import * as z from 'zod'
import { type ColumnType, columnTypes, type Fault, tableFile, type TableShape } from '@/core/house/archive'
import type { Client } from './pool'
import { many, one, query } from './rows'

/** What is not taken along, and why. */
export const leftOut: Readonly<Record<string, string>> = {
  schema_version: 'of the database, not of the studio',
  code: 'comes with the version that reads it',
  sent: 'only good for what is on its way to this very server',
  invitation: 'a link that lets somebody in here',
  calendar_feed: 'an address that is read here',
  client_link: 'an address that is opened here',
  photo_rendition: 'goes as files',
}

const shapeRow = z.object({
  name: z.string(),
  columns: z.array(
    z.object({
      name: z.string(),
      type: z.enum(Object.keys(columnTypes) as [ColumnType, ...ColumnType[]]),
      canBeNull: z.boolean(),
    }),
  ),
  key: z.array(z.string()),
  refs: z.array(z.object({ columns: z.array(z.string()), table: z.string(), to: z.array(z.string()) })),
})
const named = (numbers: string, table: string) =>
  `(select json_agg(a.attname order by n.k) from unnest(${numbers}) with ordinality as n(num, k)
    join pg_attribute a on a.attrelid = ${table} and a.attnum = n.num)`
const shapesOf = query(
  'a table',
  shapeRow,
  `select c.relname::text as name,
     (select json_agg(json_build_object('name', a.attname, 'type', regexp_replace(format_type(a.atttypid, a.atttypmod), '\\(.*\\)', ''),
                                        'canBeNull', not a.attnotnull) order by a.attnum)
      from pg_attribute a where a.attrelid = c.oid and a.attnum > 0 and not a.attisdropped and a.attgenerated = '') as columns,
     coalesce((select ${named('i.indkey::int2[]', 'c.oid')} from pg_index i where i.indrelid = c.oid and i.indisprimary), '[]') as key,
     coalesce((select json_agg(json_build_object('columns', ${named('f.conkey', 'f.conrelid')}, 'table', r.relname,
                                                 'to', ${named('f.confkey', 'f.confrelid')}) order by f.conname)
               from pg_constraint f join pg_class r on r.oid = f.confrelid
               where f.conrelid = c.oid and f.contype = 'f' and r.relname <> all ($1)), '[]') as refs
   from pg_class c
   where c.relnamespace = 'public'::regnamespace and c.relkind = 'r' and c.relname <> all ($1) order by c.relname`,
)
/** Every table that is taken along, as the catalogue knows it; generated columns are made anew. */
export const archivedTables = (client: Client): Promise<TableShape[]> => many(client, shapesOf, [Object.keys(leftOut)])

const versionOf = query('the version of the data', z.object({ version: z.number() }), 'select data_version() as version')
export const findDataVersion = async (client: Client): Promise<number> => (await one(client, versionOf)).version

/** so many rows at a time */
const batch = 500
const quote = (name: string) => `"${name.replaceAll('"', '""')}"`
/**
 * The rows of a table in the order of its key, each as its JSON; as much as who asks may read. Figures keep the places they are
 * written with. In a transaction.
 */
export async function* rowsOf(client: Client, { name, key, columns }: TableShape, source = name): AsyncGenerator<string[]> {
  const cursor = quote(`rows of ${name}`)
  const list = columns.map((each) => quote(each.name)).join(', ')
  await client.query(
    `declare ${cursor} no scroll cursor for
     select to_jsonb(t)::text as row from (select ${list} from ${quote(source)}) t order by ${key.map(quote).join(', ')}`,
  )
  for (;;) {
    const { rows } = await client.query<{ row: string }>(`fetch ${batch} from ${cursor}`)
    if (rows.length === 0) break
    yield rows.map(({ row }) => row)
  }
  await client.query(`close ${cursor}`)
}
const views = query(
  'a view of a table',
  z.object({ name: z.string() }),
  `select substr(viewname, 6)::text as name from pg_views where schemaname = 'public' and viewname like 'seen\\_%'`,
)
/** Where a table is read from by who may not read all of it. */
export async function seenTables(client: Client): Promise<Map<string, string>> {
  return new Map((await many(client, views)).map(({ name }) => [name, `seen_${name}`]))
}
const renditions = query(
  'a photograph',
  z.object({ photoId: z.string(), size: z.string() }),
  'select photo_id as "photoId", size from photo_rendition order by photo_id, size',
)
export const listRenditions = (client: Client) => many(client, renditions)

const namesOf = query(
  'what carries a name',
  z.object({ id: z.string(), name: z.string(), isOperation: z.boolean() }),
  ['seen_piece', 'part', 'person', 'seen_product', 'seen_channel', 'room']
    .map((table) => `select id, name, false as "isOperation" from ${table}`)
    .concat('select id, operation, true from step')
    .join(' union all '),
)
/** Of a step its operation. */
export const listNames = (client: Client) => many(client, namesOf)

/** Puts the rows of a studio into a database where there is none, as the database's owner; all are checked against each other before. */
export async function storeRows(
  owner: pg.ClientBase,
  shapes: readonly TableShape[],
  texts: Readonly<Record<string, string>>,
  photographs: AsyncIterable<{ photoId: string; size: string; studioId: string; bytes: Buffer }>,
): Promise<void> {
  // what was written when is not written anew, nor told; what must hold between tables is looked at when all are in
  await owner.query('set local session_replication_role = replica')
  for (const { name, columns } of shapes) {
    const list = columns.map((each) => quote(each.name)).join(', ')
    await owner.query(
      `insert into ${quote(name)} (${list}) select ${list} from jsonb_populate_recordset(null::${quote(name)}, $1::jsonb)`,
      [texts[name] ?? '[]'],
    )
  }
  for await (const { photoId, size, studioId, bytes } of photographs)
    await owner.query('insert into photo_rendition (photo_id, studio_id, size, bytes) values ($1, $2, $3, $4)', [
      ...[photoId, studioId, size],
      bytes,
    ])
}

/** What the database refuses, said as a fault of the table that it refuses. */
export function refusedBy(error: unknown): Fault | null {
  const { table, constraint, message, code } = error as { table?: string; constraint?: string; message?: string; code?: string }
  if (!code || !/^2[23]/.test(code)) return null
  return { file: tableFile(table ?? '?'), is: 'refused', why: constraint ?? message ?? code }
}
