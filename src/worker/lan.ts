/**
 * What the workshop's network reaches: TLS by the studio's own authority, and behind it the server that listens on loopback alone. It says
 * from where a request came, whatever that says of itself. Environment: ITINERUM_LAN (hosts with ports), ITINERUM_BEHIND (the server's
 * port), ITINERUM_TLS (a folder with server.key and server.crt), ITINERUM_FRONT_KEY.
 */
import { readFileSync } from 'node:fs'
import { createServer } from 'node:https'
import { join } from 'node:path'
import { createProxyServer } from 'httpxy'

const need = (name: string): string => {
  const value = process.env[name]
  if (!value) throw new Error(`${name} is not set. Start it with ./itinerum start --lan.`)
  return value
}
const hosts = need('ITINERUM_LAN').split(',')
const folder = need('ITINERUM_TLS')
const key = need('ITINERUM_FRONT_KEY')
const proxy = createProxyServer({ target: `http://127.0.0.1:${need('ITINERUM_BEHIND')}` })

const server = createServer(
  { key: readFileSync(join(folder, 'server.key')), cert: readFileSync(join(folder, 'server.crt')), minVersion: 'TLSv1.2' },
  (request, response) => {
    // a name that somebody else's clock points here is not ours
    if (!hosts.includes(request.headers.host ?? '')) return void response.writeHead(421).end('This studio is not called that.')
    request.headers['x-forwarded-proto'] = 'https'
    request.headers['x-forwarded-for'] = request.socket.remoteAddress?.replace(/^::ffff:/, '') ?? ''
    request.headers['itinerum-front'] = key
    proxy.web(request, response).catch(() => {
      // it is started anew meanwhile
      if (!response.headersSent) response.writeHead(503, { 'retry-after': '2' })
      response.end('The server can’t be reached just now. Try again in a moment.')
    })
  },
)
server.headersTimeout = 20_000
server.listen(Number(hosts[0]?.split(':').at(-1)), '0.0.0.0')
