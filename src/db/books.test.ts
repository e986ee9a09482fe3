import { afterAll, beforeAll, expect, test } from 'vitest'
import { type Account, accounts, postingsOf } from '@/core/house/books'
import { readPieces } from '@/core/piece/journey'
import { spentByKind } from '@/core/piece/ledger'
import { comeIn, makeDatabase, type TestDatabase, till } from '@/db/testing/database'
import { loadDemo } from '../../demo/load'
import { listMovements, listTinsMoved } from './books'
import { listLeft, listOpenPieces, listPieceFiles } from './piece'
import { type Client, inSession } from './pool'
import { getStudio } from './studio'

const demoStudio = '01900000-0000-7000-8000-00000000de40'
const later = '2099-01-01T00:00:00.000Z'
let db: TestDatabase
let owner: string
beforeAll(async () => {
  db = await makeDatabase()
  await loadDemo(db.owner, new Date(), till)
  owner = await comeIn(db.owner, demoStudio, 'owner')
}, 120_000)
afterAll(() => db.drop())
const here = <T>(work: (client: Client) => Promise<T>) => inSession(db.pool, owner, work, { to: 'read' })

test('the demo’s books: stock is what its pieces cost and its tins hold, by their own records', async () => {
  const { postings, open, left, shelf } = await here(async (client) => {
    const studio = await getStudio(client)
    const files = async (pieces: Awaited<ReturnType<typeof listLeft>>) =>
      readPieces(await listPieceFiles(client, pieces), { climateOf: () => [], nowMs: Date.now() })
    return {
      postings: postingsOf(await listMovements(client, later), await listTinsMoved(client, later), studio),
      open: await files(await listOpenPieces(client)),
      left: await files(await listLeft(client, 100)),
      // what every tin cost, less what coats took of it
      shelf: (
        await client.query<{ worth: number }>(
          `select (select sum(price) from seen_lot where emptied_at is null) - coalesce((select sum(d.money) from seen_draw d
             join entry e on e.id = d.entry_id join lot l on l.id = d.lot_id
             where l.emptied_at is null and not exists (select from entry c where c.corrects = e.id)), 0)::bigint as worth`,
        )
      ).rows[0]?.worth,
    }
  })
  const sums = Object.fromEntries(Object.keys(accounts).map((code) => [code, 0])) as Record<Account, number>
  for (const { debit, credit, amount } of postings) {
    sums[debit] += amount
    sums[credit] -= amount
  }
  const cost = (journeys: typeof open) =>
    journeys.reduce((sum, journey) => sum + [...spentByKind(journey).values()].reduce((all, money) => all + money, 0), 0)
  expect(postings.length).toBeGreaterThan(50)
  expect(sums.pieces).toBe(cost(open))
  expect(sums.sold + sums.drawn + sums.lost).toBe(cost(left))
  expect(sums.shelf).toBe(Number(shelf))
})
test('whoever sees no money is told of none', async () => {
  const helper = await comeIn(db.owner, demoStudio, 'helper')
  const found = await inSession(db.pool, helper, (client) => listMovements(client, later))
  expect(found.every(({ money, fees, drawn }) => money === 0 && fees === 0 && drawn === 0)).toBe(true)
})
