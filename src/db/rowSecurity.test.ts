import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { makeDatabase, type TestDatabase } from '@/db/testing/database'
import { storeWhole, wholePiece } from '@/db/testing/rows'

let db: TestDatabase
let tables: { name: string; secured: boolean; carriesStudio: boolean; updatable: boolean }[]

beforeAll(async () => {
  db = await makeDatabase()
  await db.as(db.elsewhere, (client) => storeWhole(client, db.elsewhere, wholePiece()))
  const { rows } = await db.owner.query<(typeof tables)[number]>(
    `select c.relname as name, c.relrowsecurity as secured,
            exists (select from pg_attribute a where a.attrelid = c.oid and a.attname = 'studio_id' and not a.attisdropped) or c.relname = 'studio' as "carriesStudio",
            has_table_privilege('itinerum_app', c.oid, 'update') as updatable
     from pg_class c join pg_namespace n on n.oid = c.relnamespace
     where n.nspname = 'public' and c.relkind in ('r', 'p') and c.relname not in ('schema_version', 'code') order by 1`,
  )
  tables = rows
})
afterAll(() => db.drop())

describe('another studio’s rows', () => {
  test('every table the catalogue knows carries its studio and is secured', () => {
    expect(tables.length).toBeGreaterThanOrEqual(13)
    for (const table of tables) expect(table).toMatchObject({ secured: true, carriesStudio: true })
  })

  test('every table has a row of the other studio to look for', async () => {
    for (const { name } of tables) {
      const { rows } = await db.owner.query<{ n: number }>(`select count(*)::int as n from ${name}`)
      expect(rows[0]?.n, name).toBeGreaterThan(0)
    }
  })

  test('cannot be seen, in any table', async () => {
    const key = (name: string) => (name === 'studio' ? 'id' : 'studio_id')
    for (const { name } of tables) {
      const seen = await db.as(db.here, (client) => client.query(`select from ${name} where ${key(name)} <> $1`, [db.here]))
      expect(seen.rowCount, name).toBe(0)
      const own = await db.as(db.elsewhere, (client) => client.query(`select from ${name}`))
      expect(own.rowCount, name).toBeGreaterThan(0)
    }
  })

  test('cannot be written, in any table', async () => {
    for (const { name, updatable } of tables) {
      const copied = await db.owner.query<{ columns: string; readable: string[] }>(
        `select string_agg(quote_ident(column_name), ', ' order by ordinal_position) as columns,
                array_agg(quote_ident(column_name) order by ordinal_position)
                  filter (where has_column_privilege('itinerum_app', $1, column_name, 'select')) as readable
         from information_schema.columns where table_schema = 'public' and table_name = $1 and is_generated = 'NEVER'`,
        [name],
      )
      const columns = copied.rows[0]?.columns ?? ''
      const { rows } = await db.owner.query(
        `select to_jsonb(t) as row from ${name} t where ${name === 'studio' ? 'id' : 'studio_id'} = $1 limit 1`,
        [db.elsewhere],
      )
      const attempt = db.as(db.here, (client) =>
        client.query(`insert into ${name} (${columns}) select ${columns} from jsonb_populate_record(null::${name}, $1)`, [
          rows[0]?.row,
        ]),
      )
      await expect(attempt, name).rejects.toThrow(/row-level security/)
      if (!updatable) continue
      const column = name === 'studio' ? 'name' : copied.rows[0]?.readable.at(-1)
      const changed = await db.as(db.here, (client) => client.query(`update ${name} set ${column} = ${column} where true`))
      const own = await db.as(db.here, (client) => client.query(`select from ${name}`))
      expect(changed.rowCount, name).toBe(own.rowCount)
    }
  })

  test('stay hidden from a connection that is in no session', async () => {
    for (const { name } of tables) expect((await db.pool.query(`select from ${name}`)).rowCount, name).toBe(0)
  })
})

test('the application’s role owns nothing and can’t step around the security', async () => {
  const { rows } = await db.owner.query(
    `select rolsuper, rolbypassrls, rolcreaterole, rolcreatedb,
            (select count(*)::int from pg_class where relowner = r.oid) as owned
     from pg_roles r where rolname = 'itinerum_app'`,
  )
  expect(rows[0]).toEqual({ rolsuper: false, rolbypassrls: false, rolcreaterole: false, rolcreatedb: false, owned: 0 })
})

test('the application can delete from no table', async () => {
  for (const { name } of tables)
    await expect(
      db.as(db.here, (client) => client.query(`delete from ${name}`)),
      name,
    ).rejects.toThrow(/permission denied/)
})
