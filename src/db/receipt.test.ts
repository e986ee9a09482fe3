import { createHash } from 'node:crypto'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { NewReceipt } from '@/core/price/receipt'
import { type Client, inSession, troubleOf } from '@/db/pool'
import { comeIn, makeDatabase, type TestDatabase } from '@/db/testing/database'
import { storeWhole, wholePiece } from '@/db/testing/rows'
import { listDealt } from './books'
import { addClientLink } from './clientPage'
import { addReceipt, listReceipts, listReceiptsBetween, sumCredits } from './receipt'
import { freshSecret } from './secret'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())

const bill = (total: number, tax = 0): NewReceipt => ({
  tax,
  paper: {
    ...{
      studio: 'A studio',
      letterhead: '',
      client: 'The Ferrow household',
      piece: 'Washstand',
      currency: 'GBP',
      day: '2026-11-20',
    },
    ...{ lines: [{ words: 'Washstand', money: total }], total, tax: { mode: 'margin' }, paid: total, of: null },
  },
})
const here = <T>(work: (client: Client) => Promise<T>) => db.as(db.here, work)
const aPiece = async (studio = db.here): Promise<string> => {
  const whole = wholePiece()
  const pieceId = whole.piece.id
  await db.as(studio, async (client) => {
    await storeWhole(client, studio, whole)
    // the invoice that a whole piece comes with is taken back
    for (const { id, paper } of await listReceipts(client, pieceId))
      await addReceipt(client, studio, { id: uuidv7(), pieceId, kind: 'credit', credits: id, ...bill(paper.total) })
  })
  return pieceId
}
const add = (pieceId: string, total: number, credits: string | null = null, id = uuidv7()) =>
  here((client) =>
    addReceipt(client, db.here, {
      id,
      pieceId,
      kind: credits ? 'credit' : 'invoice',
      credits,
      ...bill(total, Math.min(total, 40)),
    }),
  ).then(() => id)
const troubleWith = (work: Promise<unknown>) =>
  work.then(
    () => null,
    (error: unknown) => troubleOf(error),
  )

describe('receipts', () => {
  test('numbers run on without a gap, whoever makes them at one moment and whatever is given up', async () => {
    const pieces = await Promise.all(Array.from({ length: 6 }, () => aPiece()))
    const before =
      (
        await db.owner.query<{ n: number }>('select coalesce(max(number), 0)::int as n from receipt where studio_id = $1', [
          db.here,
        ])
      ).rows[0]?.n ?? 0
    const given = troubleWith(
      here(async (client) => {
        await addReceipt(client, db.here, {
          id: uuidv7(),
          pieceId: pieces[0] ?? '',
          kind: 'invoice',
          credits: null,
          ...bill(5_000),
        })
        throw new Error('given up')
      }),
    )
    await Promise.all([given, ...pieces.map((piece) => add(piece, 12_000))])
    const { rows } = await db.owner.query<{ number: number }>('select number from receipt where studio_id = $1 order by number', [
      db.here,
    ])
    expect(rows.map(({ number }) => number)).toEqual(Array.from({ length: before + 6 }, (_, k) => k + 1))
    // another studio begins at one
    const other = await aPiece(db.elsewhere)
    await db.as(db.elsewhere, (client) =>
      addReceipt(client, db.elsewhere, { id: uuidv7(), pieceId: other, kind: 'invoice', credits: null, ...bill(900) }),
    )
    const own = await db.as(db.elsewhere, (client) => listReceipts(client, other))
    expect(own.map(({ number }) => number)).toEqual([1, 2, 3])
  })
  test('the digest is of the very bytes, and who made it and when are the session’s own', async () => {
    const piece = await aPiece()
    await add(piece, 12_000)
    const { rows } = await db.owner.query<{ paper: string; digest: string; written_by: string | null }>(
      'select paper, digest, written_by from receipt where piece_id = $1 and total = 12000',
      [piece],
    )
    expect(rows[0]?.digest).toBe(
      createHash('sha256')
        .update(rows[0]?.paper ?? '')
        .digest('hex'),
    )
    expect(rows[0]?.written_by).not.toBeNull()
  })
  test('a piece is billed once, until all of it was taken back; no more than stands there is', async () => {
    const piece = await aPiece()
    const invoice = await add(piece, 12_000)
    expect(await troubleWith(add(piece, 12_000))).toBe('already-billed')
    expect(await troubleWith(add(piece, 12_001, invoice))).toBe('over-invoice')
    await add(piece, 5_000, invoice)
    expect(await troubleWith(add(piece, 7_001, invoice))).toBe('over-invoice')
    expect((await here((client) => sumCredits(client, [piece]))).get(piece)).toBe(41_500 + 5_000)
    await add(piece, 7_000, invoice)
    expect(await troubleWith(add(piece, 12_000))).toBeNull()
    // of another piece, or of a credit note, nothing is taken back
    const other = await aPiece()
    expect(await troubleWith(add(other, 10, invoice))).toBe('not-found')
  })
  test('two who take back all of it at one moment: one of them does', async () => {
    const piece = await aPiece()
    const invoice = await add(piece, 800)
    const said = await Promise.all([1, 2, 3].map(() => troubleWith(add(piece, 800, invoice))))
    expect(said.sort()).toEqual(['over-invoice', 'over-invoice', null].sort())
  })
  test('nobody changes one, strikes one or gives it a number of their own', async () => {
    const piece = await aPiece()
    const id = await add(piece, 12_000)
    for (const sql of [`update receipt set number = 99 where id = '${id}'`, `delete from receipt where id = '${id}'`])
      await expect(here((client) => client.query(sql))).rejects.toThrow(/permission denied/)
    await expect(db.owner.query(`delete from receipt where id = '${id}'`)).rejects.toThrow()
  })
  test('a client sees theirs without what it owes in tax; a helper sees no figure of one', async () => {
    const piece = await aPiece()
    const id = await add(piece, 12_000)
    const secret = freshSecret()
    await here((client) => addClientLink(client, db.here, { id: uuidv7(), pieceId: piece, secret, days: 30 }))
    const seen = await inSession(db.pool, secret, (client) => listReceipts(client, piece))
    expect(seen.find((each) => each.id === id)).toMatchObject({ tax: 0, paper: { total: 12_000 } })
    const helper = await comeIn(db.owner, db.here, 'helper')
    expect(await inSession(db.pool, helper, (client) => listReceipts(client, piece))).toEqual([])
  })
  test('the books have what was taken back, and a year has its receipts by number', async () => {
    const piece = await aPiece()
    const invoice = await add(piece, 12_000)
    await add(piece, 3_000, invoice)
    const { credits } = await here((client) => listDealt(client, '2099-01-01T00:00:00.000Z'))
    expect(credits.filter(({ pieceId }) => pieceId === piece).map(({ amount, tax }) => [amount, tax])).toContainEqual([3_000, 40])
    const all = await here((client) => listReceiptsBetween(client, '2020-01-01T00:00:00.000Z', '2099-01-01T00:00:00.000Z'))
    expect(all.map(({ number }) => number)).toEqual([...all.map(({ number }) => number)].sort((one, other) => one - other))
  })
})
