/**
 * A mailbox of nobody: it takes mail as a mail server does, keeps it in memory and shows what came. It fails, delays and doubles on wish.
 * Usage: tsx mail/server.ts SMTP_PORT PAGE_PORT. Listens on this machine alone.
 *
 *   GET /          what came, the newest first, as a page
 *   GET /letters   the same as JSON: [{ from, to, subject, id, words, at }]
 *   PUT /fault     none | down (says it is busy) | refuse (refuses for good) | late (shows it three seconds later) | twice
 */
import { createServer } from 'node:http'
import { SMTPServer } from 'smtp-server'

interface Letter {
  from: string
  to: string
  subject: string
  id: string
  words: string
  at: string
}
const letters: Letter[] = []
let fault = 'none'
const lateMs = 3_000
const most = 200

/** `=C3=A9` and words that are encoded whole, as they were written. */
const quoted = (text: string) =>
  Buffer.from(
    text.replace(/=\r?\n/g, '').replace(/=([0-9A-F]{2})/g, (_, hex: string) => String.fromCharCode(parseInt(hex, 16))),
    'latin1',
  ).toString()
const encoded = (text: string) =>
  text
    .replace(/\?=\s+=\?/g, '?==?')
    .replace(/=\?utf-8\?(q|b)\?(.*?)\?=/gi, (_, how: string, part: string) =>
      how.toLowerCase() === 'b' ? Buffer.from(part, 'base64').toString() : quoted(part.replaceAll('_', ' ')),
    )
function read(source: string, from: string, to: string): Letter {
  const [head = '', ...body] = source.split('\r\n\r\n')
  const unfolded = head.replace(/\r\n[ \t]+/g, ' ')
  const field = (name: string) => new RegExp(`^${name}: (.*)$`, 'im').exec(unfolded)?.[1] ?? ''
  const text = body.join('\r\n\r\n')
  const how = field('content-transfer-encoding').toLowerCase()
  const words = how === 'base64' ? Buffer.from(text, 'base64').toString() : how === 'quoted-printable' ? quoted(text) : text
  return {
    from,
    to,
    subject: encoded(field('subject')),
    id: field('message-id'),
    words: words.replaceAll('\r\n', '\n').trim(),
    at: new Date().toISOString(),
  }
}
function keep(letter: Letter): void {
  letters.unshift(letter)
  letters.length = Math.min(letters.length, most)
}
class Refusal extends Error {
  constructor(
    words: string,
    readonly responseCode: number,
  ) {
    super(words)
  }
}

new SMTPServer({
  authOptional: true,
  disabledCommands: ['STARTTLS', 'AUTH'],
  onMailFrom: (_address, _session, done) => done(fault === 'down' ? new Refusal('Busy, try again later', 450) : null),
  onRcptTo: (_address, _session, done) => done(fault === 'refuse' ? new Refusal('No such mailbox', 550) : null),
  onData: (stream, { envelope }, done) => {
    const parts: Buffer[] = []
    stream.on('data', (part: Buffer) => parts.push(part))
    stream.on('end', () => {
      const from = envelope.mailFrom === false ? '' : envelope.mailFrom.address
      const letter = read(Buffer.concat(parts).toString(), from, envelope.rcptTo.map(({ address }) => address).join(', '))
      if (fault === 'late') setTimeout(() => keep(letter), lateMs)
      else keep(letter)
      if (fault === 'twice') keep(letter)
      done()
    })
  },
}).listen(Number(process.argv[2]), '127.0.0.1')

const escaped = (text: string) => text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`)
const linked = (text: string) => escaped(text).replace(/https?:\/\/[^\s<]+/g, (address) => `<a href="${address}">${address}</a>`)
const page = () => `<!doctype html><html lang="en-GB"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>A mailbox of nobody</title><style>body{font:19px/1.5 system-ui;max-width:46rem;margin:2rem auto;padding:0 1rem;color-scheme:light dark}
article{border-top:2px solid;padding:1rem 0}pre{white-space:pre-wrap;overflow-wrap:anywhere;font:inherit;margin:.5rem 0 0}h2{font-size:1.2rem;margin:0}</style>
<h1>What came</h1><p>The demo’s letters. They reach nobody.</p>
${letters.map(({ to, subject, words, at }) => `<article><h2>${escaped(subject)}</h2>to ${escaped(to)}, ${at.slice(11, 16)} UTC<pre>${linked(words)}</pre></article>`).join('') || '<p>Nothing yet.</p>'}`

createServer((request, response) => {
  if (request.method === 'PUT' && request.url === '/fault') {
    let text = ''
    request.on('data', (part: Buffer) => (text += part.toString()))
    request.on('end', () => {
      fault = text
      response.writeHead(204).end()
    })
    return
  }
  if (request.url === '/letters')
    return void response.writeHead(200, { 'content-type': 'application/json' }).end(JSON.stringify(letters))
  response
    .writeHead(200, {
      'content-type': 'text/html; charset=utf-8',
      'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'",
    })
    .end(page())
}).listen(Number(process.argv[3]), '127.0.0.1')
