import { createHash } from 'node:crypto'
import type pg from 'pg'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { accept } from '@/core/price/offer'
import { comeIn, makeDatabase, type TestDatabase, testOwnerUrl } from '@/db/testing/database'
import { quoteRow } from '@/db/testing/quoteRow'
import { at, storeWhole, type Whole, wholePiece } from '@/db/testing/rows'
import { addClientLink, revokeClientLink } from './clientPage'
import { eraseClient } from './erasure'
import {
  addPayment,
  askForPayment,
  countPaymentsAsked,
  listPayments,
  listRefusedRefunds,
  strikePayment,
  sumRefundsAsked,
  takeNotice,
  takeRefusal,
} from './payment'
import { type Client, inSession, makePool, SignedOut, troubleOf } from './pool'
import { addQuote, addQuoteAnswer, findAccepted, listQuotes, type NewAnswer, readAccepted, withdrawQuote } from './quote'
import { freshSecret } from './secret'

let db: TestDatabase
/** several connections, as notices come */
let notices: pg.Pool
let own: Whole
let other: Whole
const link = { id: uuidv7(), secret: freshSecret() }
beforeAll(async () => {
  db = await makeDatabase()
  notices = makePool(testOwnerUrl(db.name), 5)
  own = wholePiece()
  other = wholePiece()
  await db.as(db.here, async (client) => {
    await storeWhole(client, db.here, own)
    await storeWhole(client, db.here, other)
    await addClientLink(client, db.here, { ...link, pieceId: own.piece.id, days: 30 })
  })
})
afterAll(async () => {
  await notices.end()
  await db.drop()
})

const here = <T>(work: (client: Client) => Promise<T>) => db.as(db.here, work)
const byLink = <T>(work: (client: Client) => Promise<T>) => inSession(db.pool, link.secret, work)
async function offered(over: Parameters<typeof quoteRow>[1] = {}, pieceId = own.piece.id) {
  const quote = quoteRow(pieceId, over)
  await here((client) => addQuote(client, db.here, quote))
  return quote
}
/** Yes to an offer, its second way chosen. */
function yes(quote: ReturnType<typeof quoteRow>, over: Partial<NewAnswer> = {}): NewAnswer {
  const [option] = quote.offer.options
  const taken = accept(quote.offer, option ? { [option.id]: option.choices[1]?.id ?? '' } : {}, at)
  return {
    ...{ id: uuidv7(), quoteId: quote.id, pieceId: quote.pieceId, answer: 'accepted', name: 'Ode Ferrow', reason: null },
    accepted: 'accepted' in taken ? taken.accepted : null,
    ...over,
  }
}
const troubleWith = (work: Promise<unknown>) => work.then(() => null, troubleOf)

describe('an offer', () => {
  test('is accepted by its client once, to the letter: the digest is of the very bytes', async () => {
    const quote = await offered()
    await byLink((client) => addQuoteAnswer(client, db.here, yes(quote)))
    const found = await here((client) => findAccepted(client, quote.id))
    expect(found?.digest).toBe(
      createHash('sha256')
        .update(found?.text ?? '')
        .digest('hex'),
    )
    // 310.00 + 170.00 + 45.00, of it 30 %
    expect(readAccepted(found?.text ?? '')).toMatchObject({ total: 52_500, deposit: 15_750, offer: quote.offer })
    // said again by the client, at the desk, by two at once
    const again = [1, 2, 3].map(() => troubleWith(byLink((client) => addQuoteAnswer(client, db.here, yes(quote)))))
    expect(await Promise.all(again)).toEqual(['already-answered', 'already-answered', 'already-answered'])
    const desk = yes(quote, { answer: 'declined', accepted: null, reason: 'by telephone' })
    expect(await troubleWith(here((client) => addQuoteAnswer(client, db.here, desk)))).toBe('already-answered')
    expect(await troubleWith(here((client) => withdrawQuote(client, quote.id, at)))).toBe('already-answered')
    const made = (await here((client) => listQuotes(client, own.piece.id))).find(({ id }) => id === quote.id)
    expect(made?.answer).toMatchObject({ answer: 'accepted', personId: null, name: 'Ode Ferrow', total: 52_500 })
  })
  test('of two who answer at the same moment one is heard', async () => {
    const quote = await offered()
    const said = Array.from({ length: 6 }, (_, k) =>
      troubleWith(
        byLink((client) =>
          addQuoteAnswer(client, db.here, k % 2 === 0 ? yes(quote) : yes(quote, { answer: 'declined', accepted: null })),
        ),
      ),
    )
    expect((await Promise.all(said)).filter((trouble) => trouble === null)).toHaveLength(1)
  })
  test('that was withdrawn, replaced or has run out is accepted by no client; at the desk one that ran out is', async () => {
    const first = await offered()
    const second = await offered()
    expect(await troubleWith(byLink((client) => addQuoteAnswer(client, db.here, yes(first))))).toBe('offer-over')
    await here((client) => withdrawQuote(client, second.id, at))
    expect(await troubleWith(byLink((client) => addQuoteAnswer(client, db.here, yes(second))))).toBe('offer-over')
    const late = await offered({ validUntil: '2026-01-31' })
    expect(await troubleWith(byLink((client) => addQuoteAnswer(client, db.here, yes(late))))).toBe('offer-over')
    await here((client) => addQuoteAnswer(client, db.here, yes(late, { reason: 'they wrote in time' })))
  })
  test('is signed by whoever’s session it is: nobody of the studio answers as the client, and no link as the studio', async () => {
    const quote = await offered()
    expect(await troubleWith(here((client) => addQuoteAnswer(client, db.here, yes(quote))))).toBe('not-whole')
    const goesOn = yes(quote, { answer: 'overridden', accepted: null, reason: 'they asked for it' })
    expect(await troubleWith(byLink((client) => addQuoteAnswer(client, db.here, goesOn)))).toBe('not-whole')
    await here((client) => addQuoteAnswer(client, db.here, goesOn))
    const theirs = await offered({}, other.piece.id)
    expect(await byLink((client) => listQuotes(client, other.piece.id))).toEqual([])
    expect(await troubleWith(byLink((client) => addQuoteAnswer(client, db.here, yes(theirs))))).toBe('not-yours')
  })
  test('a helper sees that there is one, and nothing of what it says', async () => {
    const helper = await comeIn(db.owner, db.here, 'helper')
    await inSession(db.pool, helper, async (client) => {
      expect(await listQuotes(client, own.piece.id)).toEqual([])
      expect(await listPayments(client, own.piece.id)).toEqual([])
      expect((await client.query('select kind from quote where piece_id = $1', [own.piece.id])).rowCount).toBeGreaterThan(0)
    })
    const quote = quoteRow(own.piece.id)
    expect(await troubleWith(inSession(db.pool, helper, (client) => addQuote(client, db.here, quote)))).toBe('not-yours')
  })
})

describe('money of a client', () => {
  const wish = (over: object = {}) => ({
    ...{ id: uuidv7(), pieceId: own.piece.id, what: 'deposit' as const, amount: 15_750, currency: 'GBP' },
    ...over,
  })
  const ask = async (amount: number) => {
    const request = await byLink((client) => askForPayment(client, db.here, wish({ amount })))
    return { id: request?.id ?? '' }
  }
  const told = (request: string, over: object = {}) => ({
    ...{ request, mark: `P-${uuidv7()}`, amount: 15_750, currency: 'GBP', at },
    ...over,
  })
  const notice = (said: ReturnType<typeof told>) => {
    // the door’s role alone
    return notices.query<{ became: string | null }>(`select door.take_notice($1, $2, $3, $4, $5) as became`, [
      ...[said.request, said.mark, said.amount, said.currency, said.at],
    ])
  }
  test('told twice, or many times at once, is booked once', async () => {
    const { id } = await ask(15_750)
    const said = told(id)
    const became = await Promise.all([1, 2, 3, 4, 5].map(async () => (await notice(said)).rows[0]?.became))
    expect(became.toSorted()).toEqual(['booked', 'known', 'known', 'known', 'known'])
    const paid = (await here((client) => listPayments(client, own.piece.id))).filter(({ mark }) => mark === said.mark)
    expect(paid).toMatchObject([{ amount: 15_750, way: 'service', what: 'deposit', writtenBy: null }])
  })
  test('asked under one number it is one request, as it was asked first; somebody else’s number is nobody’s', async () => {
    const first = wish()
    const of = (over: object) => byLink((client) => askForPayment(client, db.here, { ...first, ...over }))
    expect(await of({})).toMatchObject({ id: first.id, amount: 15_750, isPaid: false })
    expect(await of({ amount: 1 })).toMatchObject({ id: first.id, amount: 15_750 })
    const theirs = wish({ pieceId: other.piece.id })
    await here((client) => askForPayment(client, db.here, theirs))
    expect(await of({ id: theirs.id })).toBeNull()
    expect(await byLink((client) => countPaymentsAsked(client, own.piece.id))).toBeGreaterThan(0)
    expect(await byLink((client) => countPaymentsAsked(client, other.piece.id))).toBe(0)
  })
  test('that is not what was asked for is not booked: another sum, another currency, a mark of another request, nobody’s', async () => {
    const { id } = await ask(15_750)
    const other_ = await ask(15_750)
    const before = (await here((client) => listPayments(client, own.piece.id))).length
    expect((await notice(told(id, { amount: 15_751 }))).rows[0]?.became).toBe('other')
    expect((await notice(told(id, { currency: 'EUR' }))).rows[0]?.became).toBe('other')
    expect((await notice(told(uuidv7()))).rows[0]?.became).toBeNull()
    const first = told(id)
    await notice(first)
    expect((await notice(told(other_.id, { mark: first.mark }))).rows[0]?.became).toBe('other')
    expect((await here((client) => listPayments(client, own.piece.id))).length).toBe(before + 1)
  })
  test('the application books nothing in the service’s name, and asks the door’s function in vain', async () => {
    const { id } = await ask(100)
    const forged = here((client) =>
      client.query(
        `insert into payment (id, studio_id, piece_id, at, what, amount, way, request_id, mark) values ($1, $2, $3, $4, 'deposit', 100, 'service', $5, 'x')`,
        [uuidv7(), db.here, own.piece.id, at, id],
      ),
    )
    await expect(forged).rejects.toThrow(/row-level security/)
    await expect(here((client) => takeNotice(client, told(id)))).rejects.toThrow(/permission denied/)
    const back = byLink((client) =>
      askForPayment(client, db.here, { id: uuidv7(), pieceId: own.piece.id, what: 'refund', amount: 5, currency: 'GBP' }),
    )
    expect(await troubleWith(back)).toBe('not-yours')
  })
  test('what the service would not give back is told once, counts as not asked, and stands when it was given after all', async () => {
    const back = wish({ what: 'refund' as const, amount: 900 })
    await here((client) => askForPayment(client, db.here, back))
    const asked = () => here((client) => sumRefundsAsked(client, own.piece.id, uuidv7()))
    const refused = async () => (await here((client) => listRefusedRefunds(client, own.piece.id))).map(({ amount }) => amount)
    const tell = async (over: object = {}) => {
      const said = told(back.id, { amount: 900, ...over })
      const { rows } = await notices.query<{ became: string | null }>('select door.take_refusal($1, $2, $3, $4) as became', [
        ...[said.request, said.amount, said.currency, said.at],
      ])
      return rows[0]?.became
    }
    const before = await asked()
    expect(await tell({ amount: 901 })).toBe('other')
    expect(await tell({ request: uuidv7() })).toBeNull()
    expect([await refused(), await asked()]).toEqual([[], before])
    expect([await tell(), await tell()]).toEqual(['booked', 'known'])
    expect([await refused(), await asked()]).toEqual([[900], before - 900])
    await expect(here((client) => takeRefusal(client, told(back.id)))).rejects.toThrow(/permission denied/)
    // nobody writes a refusal beside the service
    const forged = wish({ what: 'refund' as const, amount: 50 })
    await here((client) =>
      client.query(
        `insert into payment_request (id, studio_id, piece_id, what, amount, currency, refused_at) values ($1, $2, $3, 'refund', 50, 'GBP', now())`,
        [forged.id, db.here, own.piece.id],
      ),
    )
    expect([await refused(), await asked()]).toEqual([[900], before - 850])
    expect((await notice(told(back.id, { amount: 900 }))).rows[0]?.became).toBe('booked')
    expect([await refused(), await asked()]).toEqual([[], before + 50])
  })
  test('written down by hand and struck, both stand; struck once', async () => {
    const paid = { id: uuidv7(), pieceId: own.piece.id, at, what: 'part', way: 'cash', amount: 1_200, note: null } as const
    await here((client) => addPayment(client, db.here, paid))
    const strike = () => ({ id: uuidv7(), paymentId: paid.id, pieceId: own.piece.id, at })
    expect(await here((client) => strikePayment(client, db.here, strike()))).toBe(true)
    expect(await troubleWith(here((client) => strikePayment(client, db.here, strike())))).toBe('already-corrected')
    const lines = (await here((client) => listPayments(client, own.piece.id))).filter(
      ({ id, strikes }) => id === paid.id || strikes === paid.id,
    )
    expect(lines.map(({ amount }) => amount)).toEqual([1_200, 1_200])
  })
})

test('who is forgotten leaves no name under what they accepted; its figures stay', async () => {
  await db.owner.query(`update piece set client = 'Ode Ferrow' where id = $1`, [own.piece.id])
  const quote = await offered({ words: 'For Ferrow, as we said', kind: undefined } as object)
  await byLink((client) => addQuoteAnswer(client, db.here, yes(quote)))
  const owner = await comeIn(db.owner, db.here, 'owner')
  await inSession(db.pool, owner, (client) => eraseClient(client, own.piece.id, ['Ferrow']))
  const all = JSON.stringify(await here((client) => listQuotes(client, own.piece.id)))
  expect(all).not.toMatch(/Ferrow/)
  const found = await here((client) => findAccepted(client, quote.id))
  expect(found?.text).not.toMatch(/Ferrow/)
  expect(readAccepted(found?.text ?? '').total).toBe(52_500)
  // the link went with it
  await expect(byLink((client) => listQuotes(client, own.piece.id))).rejects.toThrow(SignedOut)
  await here((client) => revokeClientLink(client, link.id, at))
})
