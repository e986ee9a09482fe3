import { randomBytes } from 'node:crypto'
import pg from 'pg'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { testOwnerUrl } from '@/db/testing/database'
import { migrate } from './migrate'
import { types } from './pool'

const name = `t_${randomBytes(6).toString('hex')}`
const [studio, piece, part, slate, wax] = [uuidv7(), uuidv7(), uuidv7(), uuidv7(), uuidv7()]
const coats = { first: uuidv7(), wrong: uuidv7(), right: uuidv7(), more: uuidv7(), beyond: uuidv7() }
let root: pg.Client
let owner: pg.Client

/** A workshop as it was kept before tins were told apart: what it cost and measured must be there after. */
beforeAll(async () => {
  root = new pg.Client({ connectionString: testOwnerUrl('postgres') })
  await root.connect()
  await root.query(`create database ${name}`)
  await migrate(testOwnerUrl(name), '009')
  owner = new pg.Client({ connectionString: testOwnerUrl(name), types })
  await owner.connect()
  await owner.query(
    `insert into studio (id, name, currency, zone, units, hour_rate, overhead_rate, tax_mode, tax_share, wish_kind, wish_value,
                         haggle_share, price_step)
     values ($1, 'Old workshop', 'GBP', 'Europe/London', 'metric', 1800, 0, 'none', 0, 'profit', 0, 0, 500)`,
    [studio],
  )
  await owner.query(
    `insert into product (id, studio_id, name, family, size, unit, price)
     values ($2, $1, 'Clay paint', 'clay', 500, 'ml', 2000), ($3, $1, 'Clear wax', 'clear-wax', 400, 'g', 1600)`,
    [studio, slate, wax],
  )
  await owner.query(
    `insert into piece (id, studio_id, name, source, taken_in_at) values ($2, $1, 'Washstand', 'auction', '2026-03-01')`,
    [studio, piece],
  )
  await owner.query(
    `insert into part (id, studio_id, piece_id, position, name, kind, count, substrate, existing, lead, use, bleeds)
     values ($3, $1, $2, 0, 'Top', 'top', 1, 'softwood', 'bare', 'unlikely', 'light', false)`,
    [studio, piece, part],
  )
  const coat = (id: string, day: number, amount: number, corrects: string | null = null) =>
    owner.query(
      `insert into entry (id, studio_id, piece_id, part_id, kind, at, corrects, product_id, family, amount, unit, film, money)
       values ($4, $1, $2, $3, 'coat', $5, $6, $7, 'clay', $8, 'ml', 'normal', $9)`,
      [studio, piece, part, id, `2026-03-0${day}T10:00:00Z`, corrects, slate, amount, amount * 4],
    )
  await coat(coats.first, 2, 100)
  await coat(coats.wrong, 3, 400)
  await coat(coats.right, 3, 40, coats.wrong)
  await coat(coats.more, 4, 300)
  // more than one tin held: the second was never told of
  await coat(coats.beyond, 5, 200)
  const [seat, wood, leather] = [uuidv7(), uuidv7(), uuidv7()]
  await owner.query(
    `insert into part (id, studio_id, piece_id, position, name, kind, count, substrate, existing, lead, use, bleeds)
     values ($3, $1, $2, 1, 'Seat', 'seat', 1, 'leather', 'bare', 'unlikely', 'light', false)`,
    [studio, piece, seat],
  )
  await owner.query(
    `insert into plan (id, studio_id, part_id, look, paint, colours, made_at)
     values ($2, $1, $4, 'smooth-solid', 'clay', '{}', '2026-03-01'), ($3, $1, $5, 'painted-leather', 'clay', '{}', '2026-03-01')`,
    [studio, wood, leather, part, seat],
  )
  const step = (plan: string, position: number, operation: string, family: string) =>
    owner.query(
      `insert into step (id, studio_id, plan_id, position, operation, family, film, minutes, cautions, reason)
       values ($2, $1, $3, $4, $5, $6, 'thin', 10, '{}', 'cover')`,
      [studio, uuidv7(), plan, position, operation, family],
    )
  await step(wood, 0, 'seal-between', 'water-clear')
  await step(wood, 1, 'clear-wax', 'clear-wax')
  await step(leather, 0, 'coat', 'clay')
  await step(leather, 1, 'clear-wax', 'clear-wax')
  await migrate(testOwnerUrl(name))
})
afterAll(async () => {
  await owner.end()
  await root.query(`drop database ${name} with (force)`)
  await root.end()
})

describe('a shelf that is older than its tins', () => {
  test('has one tin of each, as large and as dear as it stood, bought before it was first used', async () => {
    const { rows } = await owner.query(
      `select product_id as product, size, price, bought_at <= '2026-03-02T10:00:00Z' as before, code, emptied_at from lot order by price`,
    )
    expect(rows).toMatchObject([
      { product: wax, size: 400, price: 1600, code: null, emptied_at: null },
      { product: slate, size: 500, price: 2000, before: true, code: null, emptied_at: null },
    ])
  })
  test('what was logged is drawn of it as far as it went, corrections in place of what they correct', async () => {
    const { rows } = await owner.query<{ entry: string; amount: number; money: number }>(
      'select entry_id as entry, amount, money from draw order by amount',
    )
    expect(rows).toEqual([
      { entry: coats.right, amount: 40, money: 160 },
      { entry: coats.first, amount: 100, money: 400 },
      { entry: coats.more, amount: 300, money: 1200 },
    ])
  })
  test('the log itself is as it was', async () => {
    const { rows } = await owner.query<{ n: number; money: number }>(
      `select count(*)::int as n, sum(money)::int as money from entry where kind = 'coat'`,
    )
    expect(rows[0]).toEqual({ n: 5, money: (100 + 400 + 40 + 300 + 200) * 4 })
  })
})

test('a schema that is up to date is left alone', async () => {
  expect(await migrate(testOwnerUrl(name))).toEqual([])
})

test('what was planned thinner than usual by mistake is planned in its usual film; leather’s first coat stays thin', async () => {
  const { rows } = await owner.query<{ what: string }>(
    `select l.look || ' ' || s.operation || ' ' || s.film as what from step s join plan l on l.id = s.plan_id order by 1`,
  )
  expect(rows.map(({ what }) => what)).toEqual([
    'painted-leather clear-wax normal',
    'painted-leather coat thin',
    'smooth-solid clear-wax normal',
    'smooth-solid seal-between normal',
  ])
})
