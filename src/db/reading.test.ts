import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { mayRead, type Role, roles } from '@/core/house/roles'
import type { EntryKind } from '@/core/log/entry'
import { coatFigures } from '@/core/testing/piece'
import { comeIn, makeDatabase, type TestDatabase, till } from '@/db/testing/database'
import { doorOf } from '@/db/testing/door'
import { at, storeWhole, type Whole, wholePiece } from '@/db/testing/rows'
import { addEntries, listEntries, type NewEntry } from './entry'
import { addWithMaterial } from './material'
import { findPiece } from './piece'
import { type Client, inSession } from './pool'
import { freshSecret } from './secret'
import { openSession } from './session'
import { listLots } from './stock'
import { getStudio, listChannels, listProducts } from './studio'

let db: TestDatabase
let whole: Whole
/** who asks: somebody in each role, and the key of a machine */
const secrets = new Map<Role | 'machine', string>()
beforeAll(async () => {
  db = await makeDatabase()
  whole = wholePiece()
  await db.as(db.here, (client) => storeWhole(client, db.here, whole))
  await db.as(db.here, (client) => client.query(`update channel set fee_fixed = 30`))
  for (const role of roles) secrets.set(role, await comeIn(db.owner, db.here, role))
  const key = freshSecret()
  await openSession(db.owner, { id: uuidv7(), secret: key, studioId: db.here, membershipId: null, days: 1 })
  secrets.set('machine', key)
})
afterAll(() => db.drop())
const { sessionOf } = doorOf(() => db)

const as = <T>(who: Role | 'machine', work: (client: Client) => Promise<T>, key = '') =>
  inSession(db.pool, secrets.get(who) ?? '', work, { till: key })
/** All that a view holds, as text, without ids, digests and moments: those are never the same, and hold any figure sooner or later. */
const textOf = async (client: Client, view: string) => {
  const { rows } = await client.query<{ text: string }>(
    `select coalesce(string_agg(v::text, chr(10)), '') as text from ${view} v`,
  )
  return (rows[0]?.text ?? '').replace(/[0-9a-f-]{30,}/g, 'id').replace(/\d{4}-\d\d-\d\d[ T]\d\d:\d\d:\d\d(\.\d+)?/g, 'moment')
}

const sees = (who: Role | 'machine') => who === 'owner' || (who !== 'machine' && mayRead[who].includes('money'))

describe('money', () => {
  test('is read by whom the core’s table says, and the database has the same', async () => {
    const { rows } = await db.owner.query<{ role: Exclude<Role, 'owner'>; all: string[] }>(
      `select role, array_agg(what order by what) as all from door.may_read group by role`,
    )
    const kept = Object.fromEntries(rows.map(({ role, all }) => [role, all]))
    for (const role of roles) if (role !== 'owner') expect(kept[role] ?? [], role).toEqual(mayRead[role])
    for (const who of secrets.keys()) expect([who, (await as(who, getStudio)).hidesMoney]).toEqual([who, !sees(who)])
  })

  test('stands in no column that can be read past the views', async () => {
    // whole minor units are the only big integers that are kept; what a price is rounded to is no secret
    const { rows } = await db.owner.query<{ at: string }>(
      `select c.relname || '.' || a.attname as at from pg_class c join pg_attribute a on a.attrelid = c.oid
       where c.relnamespace = 'public'::regnamespace and c.relkind = 'r' and a.attnum > 0 and not a.attisdropped
         and a.atttypid = 'int8'::regtype and has_column_privilege('itinerum_app', c.oid, a.attname, 'select') order by 1`,
    )
    expect(rows.map((row) => row.at)).toEqual(['studio.price_step'])
    for (const sql of [
      ...['select price from lot', 'select price from product', 'select money from draw', 'select * from entry'],
      ...[
        'select detail from entry',
        'select expected from piece',
        'select hour_rate from studio',
        'select fee_share from channel',
        'select rent from channel',
        'select went_for from bid',
        'select money from tin_count',
        'select offer from quote',
        'select accepted from quote_answer',
        'select amount from payment',
        'select paper from receipt',
        'select total from receipt',
        'select pricing from studio',
      ],
      ...['select consumables from studio', 'select wish_value from studio', 'update lot set price = price'],
    ])
      await expect(
        as('owner', (client) => client.query(sql)),
        sql,
      ).rejects.toThrow(/permission denied/)
  })

  test('is nought in every view for who does not see it, and there for who does', async () => {
    // each figure stands in the rows of whole pieces, and is no part of any other there
    const figures: Record<string, RegExp> = {
      seen_studio: /1800/,
      seen_tin_count: /,77\)/,
      seen_bid: /8800|24500|6200/,
      seen_payment: /15750/,
      seen_payment_request: /36750/,
      seen_quote: /31000/,
      seen_receipt: /41500/,
      seen_quote_answer: /52500/,
      seen_channel: /0\.12|4100\)/,
      seen_product: /2100/,
      seen_lot: /2100/,
      seen_draw: /338/,
      seen_piece: /24500/,
      seen_entry: /3200|24000|23000|2760/,
    }
    const { rows } = await db.owner.query<{ name: string }>(
      `select relname as name from pg_class where relnamespace = 'public'::regnamespace and relkind = 'v' order by 1`,
    )
    expect(rows.map(({ name }) => name)).toEqual(Object.keys(figures).sort())
    for (const who of secrets.keys())
      for (const [view, figure] of Object.entries(figures))
        expect([who, view, figure.test(await as(who, (client) => textOf(client, view)))]).toEqual([who, view, sees(who)])
  })

  test('is left out of what is read for a page', async () => {
    await as('helper', async (client) => {
      expect(await getStudio(client)).toMatchObject({ hourRate: 0, overheadRate: 0, haggle: 0, wish: { earnedRate: 0 } })
      expect((await listProducts(client)).map(({ price }) => price)).toEqual((await listProducts(client)).map(() => 0))
      expect((await listLots(client)).every(({ price }) => price === 0)).toBe(true)
      expect((await listChannels(client)).every(({ feeShare, feeFixed }) => feeShare === 0 && feeFixed === 0)).toBe(true)
      expect((await findPiece(client, whole.piece.id))?.expected).toBeNull()
      const log = await listEntries(client, [whole.piece.id])
      expect(log.length).toBeGreaterThan(5)
      expect(log.filter(({ kind }) => kind === 'cost')).toEqual([])
      for (const entry of log)
        if ('money' in entry && entry.money !== null) expect([entry.kind, entry.money]).toEqual([entry.kind, 0])
    })
    const log = await as('bookkeeper', (client) => listEntries(client, [whole.piece.id]))
    expect(log.filter(({ kind }) => kind === 'cost')).toHaveLength(1)
  })

  test('in what was changed, or went with a part of a set, is left out too', async () => {
    const other = wholePiece()
    await db.as(db.here, (client) => storeWhole(client, db.here, other))
    const pieceId = other.piece.id
    const entries: NewEntry[] = [
      { id: uuidv7(), kind: 'amended', pieceId, at, detail: { expected: ['245', '311'], name: ['A', 'B'] } },
      {
        id: uuidv7(),
        kind: 'split',
        pieceId,
        at,
        detail: { pieceId: whole.piece.id, sign: -1, costs: { bought: 777 }, minutes: 12 },
      },
    ]
    await db.as(db.here, (client) => addEntries(client, db.here, entries))
    const read = async (who: Role) =>
      (await as(who, (client) => listEntries(client, [pieceId]))).flatMap((each) =>
        each.kind === 'amended' || each.kind === 'split' ? [each.detail] : [],
      )
    expect(await read('painter')).toEqual([entries[0], entries[1]].map((each) => (each as { detail: unknown }).detail))
    expect(await read('helper')).toEqual([{ name: ['A', 'B'] }, { pieceId: whole.piece.id, sign: -1, costs: {}, minutes: 12 }])
  })
})

describe('the till', () => {
  test('lets what is written be reckoned, and nobody without its secret', async () => {
    const priceAs = (key: string) => as('helper', async (client) => (await listLots(client))[0]?.price, key)
    expect([await priceAs(till), await priceAs(''), await priceAs('till'), await priceAs('x'.repeat(43))]).toEqual([
      2100, 0, 0, 0,
    ])
    // it ends with its transaction
    const client = await db.pool.connect()
    const { rows } = await client.query<{ key: string }>(`select current_setting('itinerum.till', true) as key`)
    client.release()
    expect(rows[0]?.key ?? '').toBe('')
  })
  test('a coat that a helper lays costs what it costs', async () => {
    const { personId } = await sessionOf(secrets.get('helper') ?? '')
    const entry: NewEntry = {
      ...{ id: uuidv7(), kind: 'coat', pieceId: whole.piece.id, partId: whole.part.id, stepId: null, at, personId, money: 0 },
      coat: coatFigures({ productId: whole.productId, family: 'clay', amount: 50 }),
    }
    await as('helper', (client) => addWithMaterial(client, db.here, entry), till)
    const { rows } = await db.owner.query<{ money: number; by: string }>(
      'select money::int, written_by as by from entry where id = $1',
      [entry.id],
    )
    // 50 ml of 500 ml at 21.00
    expect(rows).toEqual([{ money: 210, by: personId }])
  })
})

describe('a helper', () => {
  test('writes their own clock, and nobody else’s', async () => {
    const own = (await sessionOf(secrets.get('helper') ?? '')).personId
    const other = (await sessionOf(secrets.get('painter') ?? '')).personId
    const note = (who: Role, personId: string | null) =>
      as(who, (client) =>
        addEntries(client, db.here, [{ id: uuidv7(), kind: 'note', pieceId: whole.piece.id, at, note: 'x', personId }]),
      )
    expect([await note('helper', own), await note('helper', null), await note('helper', other)]).toEqual([
      null,
      null,
      { issue: 'not-yours' },
    ])
    expect(await note('painter', own)).toBeNull()
  })
  test('takes back nothing that they may not write', async () => {
    const log = await db.as(db.here, (client) => listEntries(client, [whole.piece.id]))
    const struck = async (who: Role, kind: EntryKind) => {
      const corrects = log.findLast((each) => each.kind === kind && !log.some((other) => other.corrects === each.id))?.id ?? ''
      let answer: unknown
      await as(who, async (client) => {
        answer = await addEntries(client, db.here, [{ id: uuidv7(), kind: 'struck', pieceId: whole.piece.id, at, corrects }])
        throw new Error('undone')
      }).catch(() => undefined)
      return answer
    }
    expect(await struck('owner', 'cost')).toBeNull()
    expect([await struck('helper', 'cost'), await struck('helper', 'listed'), await struck('helper', 'coat')]).toEqual([
      { issue: 'not-yours' },
      { issue: 'not-yours' },
      null,
    ])
    expect([await struck('bookkeeper', 'cost'), await struck('bookkeeper', 'coat')]).toEqual([null, { issue: 'not-yours' }])
  })
})

test('who wrote an entry is who was in, whoever’s hands it was', async () => {
  const [painter, helper] = await Promise.all(
    (['painter', 'helper'] as const).map(async (role) => (await sessionOf(secrets.get(role) ?? '')).personId),
  )
  const id = uuidv7()
  await as('painter', (client) =>
    addEntries(client, db.here, [
      { id, kind: 'note', pieceId: whole.piece.id, at, note: 'for the helper', personId: helper ?? null },
    ]),
  )
  const entry = (await as('helper', (client) => listEntries(client, [whole.piece.id]))).find((each) => each.id === id)
  expect(entry).toMatchObject({ personId: helper, writtenBy: painter })
  // nobody says that it was somebody else
  await expect(
    as('painter', (client) =>
      client.query(
        `insert into entry (id, studio_id, piece_id, kind, at, note, written_by) values ($1, $2, $3, 'note', now(), 'x', $4)`,
        [uuidv7(), db.here, whole.piece.id, helper],
      ),
    ),
  ).rejects.toThrow(/role_may_sign/)
})
