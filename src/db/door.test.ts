import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { makeDatabase, type TestDatabase } from '@/db/testing/database'
import { doorOf } from '@/db/testing/door'
import { storeWhole, wholePiece } from '@/db/testing/rows'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
  await db.as(db.elsewhere, (client) => storeWhole(client, db.elsewhere, wholePiece()))
})
afterAll(() => db.drop())
const {} = doorOf(() => db)

describe('whoever writes their own statements', () => {
  const tables = [
    'account',
    'channel_key',
    'clerk',
    'happened',
    'house_rule',
    'key_use',
    'letter',
    'may_read',
    'may_write',
    'membership',
    'pairing',
    'passkey',
    'password_key',
    'piece_mark',
    'push_key',
    'push_place',
    'push_told',
    'recovery_code',
    'session',
    'sign_in_try',
    'till',
  ]
  test('reaches nothing behind the door', async () => {
    for (const table of tables) {
      const attempt = (sql: string) => db.as(db.here, (client) => client.query(sql))
      await expect(attempt(`select from door.${table}`), table).rejects.toThrow(/permission denied/)
      await expect(attempt(`delete from door.${table}`), table).rejects.toThrow(/permission denied/)
      await expect(attempt(`insert into door.${table} default values`), table).rejects.toThrow(/permission denied/)
    }
    const { rows } = await db.owner.query<{ name: string }>(
      `select relname as name from pg_class where relnamespace = 'door'::regnamespace and relkind = 'r' order by 1`,
    )
    expect(rows.map(({ name }) => name)).toEqual(tables)
  })
  test('stays inside their studio, whatever they set', async () => {
    for (const sql of [
      `select set_config('itinerum.studio', '${db.elsewhere}', true)`,
      `select set_config('itinerum.session', '${db.elsewhere}', true)`,
      `select enter('${db.elsewhere}')`,
      `set local itinerum.session = ''`,
    ]) {
      const seen = await db.as(db.here, async (client) => {
        await client.query(sql)
        return (await client.query('select from piece')).rowCount
      })
      expect(seen, sql).toBe(0)
    }
    const becomes = (role: string) => db.as(db.here, (client) => client.query(`set local role ${role}`))
    await expect(becomes('itinerum_door')).rejects.toThrow(/permission denied/)
    await expect(becomes('itinerum_owner')).rejects.toThrow(/permission denied/)
  })
  test('at the door sees names of studios and people, and no work', async () => {
    const { rows } = await db.owner.query<{ name: string }>(
      `select relname as name from pg_class where relnamespace = 'public'::regnamespace and relkind in ('r', 'p')
         and has_any_column_privilege('itinerum_door', oid, 'select') order by 1`,
    )
    expect(rows.map(({ name }) => name)).toEqual(['invitation', 'person', 'studio'])
    const roles = await db.owner.query(
      `select rolsuper, rolbypassrls, rolcreaterole from pg_roles where rolname = 'itinerum_door'`,
    )
    expect(roles.rows[0]).toEqual({ rolsuper: false, rolbypassrls: false, rolcreaterole: false })
  })
})
