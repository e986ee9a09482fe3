/**
 * The simulated payment service: a process of its own that takes nobody's money. It speaks as a real one is spoken to (what is asked and
 * told is signed, see src/paymentSignature.ts), and on its page one chooses what shall happen: paid, told twice, told late, refused, not
 * told at all.
 *
 *   POST /requests  { id, amount, currency, about, back, notice } → 201 { page }      the same id is the same request
 *   POST /refunds   { id, of, amount, currency, notice }          → 202 {}
 *   GET  /pay/ID                                                  the page; its form says what happens
 *   PUT  /fault     "none" | "down" | "refuse"                    → 204; down: it takes what is asked and never answers; refuse: it gives nothing back
 *
 * Usage: ITINERUM_PAYMENTS_KEY=… tsx payments/server.ts PORT. Listens on this machine alone.
 */
import { randomUUID } from 'node:crypto'
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http'
import { z } from 'zod'
import { formatMoney } from '../src/core/measure/money'
import { isSigned, signed } from '../src/paymentSignature'

const key = process.env.ITINERUM_PAYMENTS_KEY ?? ''
const lateMs = Number(process.env.ITINERUM_PAYMENTS_LATE_MS ?? 5_000)
const address = z.url({ protocol: /^https?$/ })
const amounts = { amount: z.number().int().positive(), currency: z.string().regex(/^[A-Z]{3}$/), notice: address }
const asked = z.object({ id: z.uuid(), about: z.string().max(200), back: address, ...amounts })
const refunded = z.object({ id: z.uuid(), of: z.string(), ...amounts })

interface Request extends z.output<typeof asked> {
  /** once it was paid */
  mark: string | null
}
const requests = new Map<string, Request>()
const refunds = new Map<string, string>()
let isDown = false
let isRefusing = false
let self = ''

/** Told until somebody heard it, each try signed anew. */
async function tell(notice: string, told: object, tries = 5): Promise<void> {
  const text = JSON.stringify(told)
  const heard = await fetch(notice, {
    method: 'POST',
    body: text,
    headers: { 'content-type': 'application/json', 'itinerum-signature': signed(text, key, Date.now()) },
    signal: AbortSignal.timeout(5_000),
  }).catch(() => null)
  console.log(`told ${notice}: ${heard?.status ?? 'nobody'}`)
  // what can't be believed is not said again
  if ((heard === null || heard.status >= 500) && tries > 1)
    setTimeout(() => void tell(notice, told, tries - 1), 1_000 * (6 - tries))
}
const noticeOf = ({ id, amount, currency }: Pick<Request, 'id' | 'amount' | 'currency'>, result: string, mark: string) => ({
  ...{ request: id, mark, result, amount, currency, at: new Date().toISOString() },
})

const ways = {
  paid: 'Pay',
  twice: 'Pay; it is told twice',
  late: 'Pay; it is told late',
  refused: 'Refuse',
  untold: 'Pay; it is never told',
} as const
function happen(request: Request, way: keyof typeof ways): void {
  if (way === 'refused') return void tell(request.notice, noticeOf(request, 'refused', randomUUID()))
  // paid once, however often the page is sent
  request.mark ??= `P-${randomUUID()}`
  const told = noticeOf(request, 'paid', request.mark)
  if (way === 'paid' || way === 'twice') void tell(request.notice, told)
  if (way === 'twice') void tell(request.notice, told)
  if (way === 'late') setTimeout(() => void tell(request.notice, told), lateMs)
}

const escaped = (text: string) => text.replace(/[&<>"']/g, (letter) => `&#${letter.charCodeAt(0)};`)
const page = ({ id, about, amount, currency, mark }: Request) => `<!doctype html>
<html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Simulated payment</title>
<body style="font:1.25rem/1.5 system-ui;max-width:34rem;margin:3rem auto;padding:0 1rem">
<p>Simulated payment service: no money moves here.</p>
<h1>${escaped(formatMoney(amount, { currency, locale: 'en-GB' }))}</h1><p>for ${escaped(about)}${mark ? '. It is paid already.' : ''}</p>
<form method="post" action="/pay/${id}">${Object.entries(ways)
  .map(([way, words]) => `<p><button name="way" value="${way}" style="font:inherit;padding:.6rem 1.2rem">${words}</button></p>`)
  .join('')}</form></body></html>`

async function bodyOf(request: IncomingMessage): Promise<string> {
  let body = ''
  for await (const chunk of request) {
    body += String(chunk)
    if (body.length > 10_000) throw new Error('too much')
  }
  return body
}
function parse(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}

async function answer(request: IncomingMessage, response: ServerResponse): Promise<unknown> {
  const { pathname } = new URL(request.url ?? '/', 'http://payments')
  const json = (status: number, body: object) =>
    response.writeHead(status, { 'content-type': 'application/json' }).end(JSON.stringify(body))
  const paying = requests.get(/^\/pay\/([\w-]{36})$/.exec(pathname)?.[1] ?? '')
  if (request.method === 'GET' && paying)
    return response.writeHead(200, { 'content-type': 'text/html; charset=utf-8' }).end(page(paying))
  if (request.method !== 'POST' && request.method !== 'PUT') return json(404, {})
  const text = await bodyOf(request)
  if (request.method === 'POST' && paying) {
    const way = new URLSearchParams(text).get('way') ?? ''
    if (!(way in ways)) return json(400, { words: `one of: ${Object.keys(ways).join(', ')}` })
    happen(paying, way as keyof typeof ways)
    return response.writeHead(303, { location: paying.back }).end()
  }
  if (pathname === '/fault') {
    isDown = text.includes('down')
    isRefusing = text.includes('refuse')
    return response.writeHead(204).end()
  }
  // a request that is never answered
  if (isDown) return null
  const header = request.headers['itinerum-signature']
  if (!isSigned(text, typeof header === 'string' ? header : null, key, Date.now())) return json(401, { words: 'not signed' })
  if (pathname === '/requests') {
    const parsed = asked.safeParse(parse(text))
    if (!parsed.success) return json(422, { words: z.prettifyError(parsed.error) })
    const { id } = parsed.data
    if (!requests.has(id)) requests.set(id, { ...parsed.data, mark: null })
    return json(201, { page: `${self}/pay/${id}` })
  }
  if (pathname === '/refunds') {
    const parsed = refunded.safeParse(parse(text))
    if (!parsed.success) return json(422, { words: z.prettifyError(parsed.error) })
    const { id, of, notice } = parsed.data
    const paid = [...requests.values()].find(({ mark }) => mark === of)
    if (!paid || paid.amount < parsed.data.amount) return json(409, { words: 'no such payment' })
    if (isRefusing && !refunds.has(id)) {
      void tell(notice, noticeOf(parsed.data, 'refused', randomUUID()))
      return json(202, {})
    }
    const mark = refunds.get(id) ?? `R-${randomUUID()}`
    refunds.set(id, mark)
    void tell(notice, noticeOf(parsed.data, 'refunded', mark))
    return json(202, {})
  }
  return json(404, {})
}

const server = createServer((request, response) => {
  answer(request, response).catch(() => response.writeHead(400).end())
})
server.listen(Number(process.argv[2] ?? 0), '127.0.0.1', () => {
  const listening = server.address()
  self = `http://127.0.0.1:${typeof listening === 'object' ? listening?.port : ''}`
  console.log(`payments: ${self}`)
})
