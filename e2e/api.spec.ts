/** Other programs: a key made at House, what it may and may not, and answers as their description says. */
import { type APIRequestContext, expect, type Page, test } from '@playwright/test'
import Ajv2020 from 'ajv/dist/2020.js'
import { v7 as uuidv7 } from 'uuid'
import { expectAxeClean } from './axe'
import { ownServer } from './ownServer'

const own = ownServer('api')
test.beforeAll(async () => {
  test.setTimeout(120_000)
  await own.begin()
})
test.afterAll(() => own.end())
test.use({ storageState: { cookies: [], origins: [] } })
test.describe.configure({ mode: 'serial' })

/** Makes a key at House, for what it may beside reading. */
async function makeKey(page: Page, name: string, may: readonly string[]): Promise<string> {
  await page.goto(`${own.address()}/house`)
  await page.getByRole('link', { name: 'For other programs' }).click()
  await page.getByLabel('What it is for').fill(name)
  for (const each of may) await page.getByLabel(each).check()
  await page.getByRole('button', { name: 'Make a key' }).click()
  const token = await page.locator('[data-token]').textContent()
  await expect(page.getByText(name)).toBeVisible()
  return token ?? ''
}
const asking = (request: APIRequestContext, key: string) => async (path: string, data?: object) => {
  const headers = { authorization: `Bearer ${key}` }
  const url = `${own.address()}/api/v1${path}`
  const answer = data ? await request.post(url, { headers, data }) : await request.get(url, { headers })
  return { status: answer.status(), said: (await answer.json()) as Record<string, unknown>, headers: answer.headers() }
}
interface Described {
  openapi: string
  paths: Record<string, Record<string, { responses: Record<string, { content: { 'application/json': { schema: object } } }> }>>
}

test('a key reads what there is, as it is described; it writes where it may, once', async ({ context, request }) => {
  await own.letIn(context, 'Wenna')
  const page = await context.newPage()
  const reading = asking(request, await makeKey(page, 'Shop window', []))
  await expectAxeClean(page)
  const writing = asking(request, await makeKey(page, 'Loft sensor', ['writes clocks, coats, notes and the air']))
  const described = (await (await request.get(`${own.address()}/api/v1/openapi.json`)).json()) as Described
  expect(described.openapi).toBe('3.1.0')
  const ajv = new Ajv2020({ strict: false, validateFormats: false })
  const { said: pieces } = await reading('/pieces?limit=4')
  const [first] = pieces.pieces as { id: string; name: string }[]
  const filled = (path: string) => path.replace('{id}', first?.id ?? '')
  let asked = 0
  for (const [path, { get }] of Object.entries(described.paths)) {
    if (!get) continue
    const { status, said, headers } = await reading(filled(path))
    expect([path, status, headers['cache-control']]).toEqual([path, 200, 'no-store'])
    const check = ajv.compile(get.responses['200']?.content['application/json'].schema ?? false)
    expect(check(said), `${path}: ${ajv.errorsText(check.errors)}`).toBe(true)
    asked += 1
  }
  expect(asked).toBe(6)
  // page by page all of them, each once
  const ids: string[] = []
  for (let next: unknown = ''; next !== null;) {
    const { said } = await reading(`/pieces?limit=4${next === '' ? '' : `&after=${String(next)}`}`)
    ids.push(...(said.pieces as { id: string }[]).map(({ id }) => id))
    next = said.next
  }
  expect(ids).toHaveLength(12)
  expect(new Set(ids).size).toBe(12)
  // no figure of money by a key that may not see it
  const { said: piece } = await reading(filled('/pieces/{id}'))
  expect(JSON.stringify(piece)).not.toMatch(/"(?:money|fees|expected)":\s*[1-9]/)

  const note = { entryId: uuidv7(), at: new Date().toISOString(), note: 'Seen in the window' }
  expect((await reading(filled('/pieces/{id}/notes'), note)).status).toBe(403)
  for (let twice = 0; twice < 2; twice += 1)
    expect(await writing(filled('/pieces/{id}/notes'), note)).toMatchObject({ status: 200, said: { ok: true } })
  expect((await writing(filled('/pieces/{id}/notes'), { ...note, note: 'another' })).status).toBe(409)
  expect(await own.ask(`select from entry where note = 'Seen in the window'`)).toHaveLength(1)
  // a clock is started and ended, a coat goes on from a tin, each twice and once in the log
  const { said: bench } = await writing('/bench')
  const lines = bench.lines as { pieceId: string; partId: string; group: string; step: { id: string; family: string | null } }[]
  const line = lines.find(({ group, step }) => group === 'now' && step.family !== null)
  const { said: shelf } = await writing('/shelf')
  const lots = shelf.lots as { id: string; productId: string; family: string; remaining: number }[]
  const tin = lots.find(({ family, remaining }) => family === line?.step.family && remaining > 50)
  const [person] = (await writing('/people')).said.people as { id: string }[]
  const onStep = { partId: line?.partId, stepId: line?.step.id, personId: person?.id }
  const ago = (minutes: number) => new Date(Date.now() - minutes * 60_000).toISOString()
  const sent = [
    ['clocks', { ...onStep, entryId: uuidv7(), at: ago(20), does: 'start' }],
    ['clocks', { ...onStep, entryId: uuidv7(), at: ago(2), does: 'end' }],
    [
      'coats',
      { ...onStep, entryId: uuidv7(), at: ago(1), family: tin?.family, productId: tin?.productId, lotId: tin?.id, amount: 12.5 },
    ],
  ] as const
  for (const [what, body] of [...sent, ...sent])
    expect(await writing(`/pieces/${line?.pieceId}/${what}`, body)).toMatchObject({ status: 200, said: { ok: true } })
  const logged = await own.ask<{ kind: string; at: Date }>('select kind, at from entry where step_id = $1 order by at', [
    line?.step.id,
  ])
  expect(logged.map(({ kind }) => kind)).toEqual(['started', 'ended', 'coat'])
  const after = ((await writing('/shelf')).said.lots as typeof lots).find(({ id }) => id === tin?.id)
  expect((tin?.remaining ?? 0) - (after?.remaining ?? 0)).toBeCloseTo(12.5, 1)
  expect((await reading(`/pieces/${line?.pieceId}/clocks`, sent[0][1])).status).toBe(403)
  // a step of another piece is none of this one's
  const other = lines.find(({ pieceId }) => pieceId !== line?.pieceId)?.pieceId
  const stray = { ...sent[0][1], entryId: uuidv7() }
  expect((await writing(`/pieces/${other}/clocks`, stray)).status).toBeGreaterThanOrEqual(400)
  expect(await own.ask('select from entry where id = $1', [stray.entryId])).toEqual([])

  const air = { id: uuidv7(), at: new Date().toISOString(), temperature: 19.5, humidity: 51 }
  expect((await writing('/readings', air)).said).toEqual({ ok: true })
  expect(await own.ask('select from reading where id = $1', [air.id])).toHaveLength(1)
})

test('what can’t be read is told by its field; what there is not, and who is nobody, is told so', async ({
  context,
  request,
}) => {
  await own.letIn(context, 'Wenna')
  const page = await context.newPage()
  const key = await makeKey(page, 'Trial', ['writes clocks, coats, notes and the air'])
  const ask = asking(request, key)
  const wrong = async (path: string, data?: object) => {
    const { status, said } = await ask(path, data)
    return [status, ...Object.keys(said.fields ?? {}).sort()]
  }
  expect(await wrong('/pieces?limit=0')).toEqual([422, 'limit'])
  expect(await wrong('/pieces?after=nonsense')).toEqual([422, 'after'])
  expect(await wrong('/readings', { id: 'one', at: 'noon', temperature: '19', humidity: 300 })).toEqual([
    ...[422, 'at', 'humidity', 'id', 'temperature'],
  ])
  expect((await ask(`/pieces/${uuidv7()}`)).status).toBe(404)
  expect((await ask('/pieces/nonsense')).status).toBe(404)
  expect((await ask(`/pieces/${uuidv7()}/notes`, { entryId: uuidv7(), at: new Date().toISOString(), note: 'x' })).status).toBe(
    404,
  )
  expect((await ask('/wages')).status).toBe(404)
  expect(await ask('/bench', {})).toMatchObject({ status: 405, headers: { allow: 'GET' } })
  for (const authorization of ['', 'Bearer', `Bearer ${'k'.repeat(43)}`, `Basic ${key}`, `Bearer key ${key}`])
    expect([
      authorization,
      (await request.get(`${own.address()}/api/v1/bench`, { headers: { authorization } })).status(),
    ]).toEqual([authorization, 401])
  // a key is no session: not as a cookie, however it is written, on no route and no write
  for (const value of [key, `key ${key}`, encodeURIComponent(`key ${key}`)])
    for (const path of ['/api/bench', '/api/week', '/api/happened', '/api/studio/archive'])
      expect([
        path,
        (await request.get(`${own.address()}${path}`, { headers: { cookie: `itinerum=${value}` } })).status(),
      ]).toEqual([path, 401])
  // nor does a session answer here
  const cookies = (await context.cookies()).map(({ name, value }) => `${name}=${value}`).join('; ')
  expect((await request.get(`${own.address()}/api/v1/bench`, { headers: { cookie: cookies } })).status()).toBe(401)
})

test('too often in a minute it waits; taken back it opens nothing, and that is told', async ({ context, request }) => {
  test.setTimeout(120_000)
  await own.letIn(context, 'Wenna')
  const page = await context.newPage()
  const ask = asking(request, await makeKey(page, 'Eager', []))
  let last = await ask('/readings')
  for (let k = 0; k < 260 && last.status === 200; k += 1) last = await ask('/readings')
  expect(last).toMatchObject({ status: 429, headers: { 'retry-after': '60' } })
  await page.goto(`${own.address()}/house/api`)
  const line = page.getByRole('listitem').filter({ hasText: 'Eager' })
  await expect(line).toContainText('last used')
  await line.getByRole('button', { name: 'Take it back' }).click()
  await expect(line).toHaveCount(0)
  expect((await ask('/readings')).status).toBe(401)
  await page.goto(`${own.address()}/house/doors?of=doors`)
  await expect(page.getByText('The key of another program was taken back: Eager.').last()).toBeVisible()
  // only an owner makes one
  const other = await (await page.context().browser()?.newContext())?.newPage()
  if (!other) throw new Error('no browser')
  await own.letIn(other.context(), 'Joss')
  await other.goto(`${own.address()}/house/api`)
  await expect(other.getByText('isn’t yours here')).toBeVisible()
  const made = await other.request.post(`${own.address()}/api/keys`, {
    data: { id: uuidv7(), token: 'j'.repeat(43), name: 'mine', may: ['read'], days: 30 },
    headers: { origin: own.address() },
  })
  expect([made.status(), await made.json()]).toEqual([403, { issue: 'not-yours' }])
})
