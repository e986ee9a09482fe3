import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { entryOf, mayWrite, type Role, roles } from '@/core/house/roles'
import { entryKinds } from '@/core/log/entry'
import { comeIn, makeDatabase, type TestDatabase } from '@/db/testing/database'
import { pieceRow, storeWhole, wholePiece } from '@/db/testing/rows'
import { addPiece } from './pieceWrite'
import { inSession, troubleOf } from './pool'
import { freshSecret } from './secret'
import { openSession } from './session'

let db: TestDatabase
const secrets = new Map<Role, string>()
let tables: { name: string; updates: string | null }[]
beforeAll(async () => {
  db = await makeDatabase()
  await db.as(db.here, (client) => storeWhole(client, db.here, wholePiece()))
  // one that has not left
  await db.as(db.here, (client) => addPiece(client, db.here, pieceRow()))
  for (const role of roles) secrets.set(role, await comeIn(db.owner, db.here, role))
  // every table that the application may write at all, and a column of it that it may change
  const { rows } = await db.owner.query<(typeof tables)[number]>(
    `select c.relname as name,
            (select a.attname from pg_attribute a where a.attrelid = c.oid and a.attnum > 0 and not a.attisdropped
               and has_column_privilege('itinerum_app', c.oid, a.attname, 'update')
             -- it is set to what it was: so it has to be read
             order by has_column_privilege('itinerum_app', c.oid, a.attname, 'select') desc, a.attnum desc limit 1) as updates
     from pg_class c where c.relnamespace = 'public'::regnamespace and c.relkind = 'r' and has_table_privilege('itinerum_app', c.oid, 'insert')
     order by 1`,
  )
  tables = rows
})
afterAll(() => db.drop())

class Undone extends Error {
  constructor(readonly rowCount: number | null) {
    super('undone')
  }
}
/** Tries it, and undoes it: what one may do is there for the next to try. */
const as = (role: Role, sql: string, values: unknown[] = []) =>
  inSession(db.pool, secrets.get(role) ?? '', async (client) => {
    throw new Undone((await client.query(sql, values)).rowCount)
  }).catch((error: unknown) =>
    error instanceof Undone ? { rowCount: error.rowCount, issue: null } : { rowCount: 0, issue: troubleOf(error) },
  )
const may = (role: Role, what: string) => (role === 'owner' ? true : mayWrite[role].includes(what))
/** An insert of a row as it stands: refused for its role before it is found to be there already. */
async function insertAgain(role: Role, name: string, where = 'true') {
  const { rows } = await db.owner.query<{ columns: string }>(
    `select string_agg(quote_ident(column_name), ', ' order by ordinal_position) as columns
     from information_schema.columns where table_schema = 'public' and table_name = $1 and is_generated = 'NEVER'`,
    [name],
  )
  const columns = rows[0]?.columns ?? ''
  const own = name === 'studio' ? 'id' : 'studio_id'
  const found = await db.owner.query<{ row: unknown }>(
    `select to_jsonb(t) as row from ${name} t where ${own} = $1 and ${where} limit 1`,
    [db.here],
  )
  return as(role, `insert into ${name} (${columns}) select ${columns} from jsonb_populate_record(null::${name}, $1)`, [
    found.rows[0]?.row,
  ])
}

describe('what each role may write', () => {
  test('is the same table in the core and in the database', async () => {
    const { rows } = await db.owner.query<{ role: Exclude<Role, 'owner'>; all: string[] }>(
      `select role, array_agg(what order by what) as all from door.may_write where role <> 'machine' group by role order by role`,
    )
    for (const { role, all } of rows) expect(all, role).toEqual([...mayWrite[role]].sort())
    expect(rows.map(({ role }) => role)).toEqual(['bookkeeper', 'helper', 'painter'])
  })
  test('every table the application writes has a rule for whoever adds, and for whoever changes', async () => {
    const { rows } = await db.owner.query<{ name: string; add: boolean; change: boolean }>(
      `select c.relname as name,
              exists (select from pg_policy p where p.polrelid = c.oid and not p.polpermissive and p.polcmd = 'a') as add,
              exists (select from pg_policy p where p.polrelid = c.oid and not p.polpermissive and p.polcmd = 'w') as change
       from pg_class c where c.relnamespace = 'public'::regnamespace and c.relkind = 'r'`,
    )
    for (const { name, updates } of tables) {
      const found = rows.find((row) => row.name === name)
      expect([name, found?.add, found?.change]).toEqual([name, true, updates !== null])
    }
  })
  test('holds in every table for every role, adding and changing', async () => {
    for (const role of roles)
      for (const { name, updates } of tables) {
        if (name === 'entry') continue
        const allowed = name === 'invitation' ? role === 'owner' : may(role, name)
        const { issue } = await insertAgain(role, name)
        expect([role, name, 'add', issue === 'not-yours']).toEqual([role, name, 'add', !allowed])
        if (!updates) continue
        const changed = await as(role, `update ${name} set ${updates} = ${updates}`)
        // an invitation is not seen to change by who may not change it
        const refused = name === 'invitation' ? changed.rowCount === 0 : changed.issue === 'not-yours'
        expect([role, name, 'change', refused]).toEqual([role, name, 'change', !allowed])
      }
  })
  test('a machine’s key writes what its machine reads, and nothing else', async () => {
    const secret = freshSecret()
    await openSession(db.owner, { id: uuidv7(), secret, studioId: db.here, membershipId: null, days: 1 })
    secrets.set('painter', secret)
    for (const { name } of tables.filter((each) => each.name !== 'entry')) {
      const { issue } = await insertAgain('painter', name)
      expect([name, issue === 'not-yours']).toEqual([name, !['reading', 'air_mean'].includes(name)])
    }
    secrets.set('painter', await comeIn(db.owner, db.here, 'painter'))
  })
  test('holds in the log for every kind of entry', async () => {
    for (const role of roles)
      for (const kind of entryKinds) {
        const { issue } = await as(
          role,
          `insert into entry (id, studio_id, piece_id, kind, at) select gen_random_uuid(), studio_id, id, $1, now() from piece where ended_at is null limit 1`,
          [kind],
        )
        const allowed = may(role, entryOf(kind))
        expect([role, kind, issue === 'not-yours']).toEqual([role, kind, !allowed])
      }
  })
})
