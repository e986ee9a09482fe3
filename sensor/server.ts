/**
 * The simulated sensor: a process of its own that speaks JSON over HTTP, as a real one on the workshop's wall would.
 *
 *   GET /air                        → { "readings": [{ "room", "at", "temperature", "humidity" }] }   °C, %, ISO 8601 UTC
 *   PUT /rooms/NAME/fault  "dead"   → 204; the room's sensor has that fault: none, dead, sun, silent
 *
 * Usage: tsx sensor/server.ts PORT. Listens on this machine alone.
 */
import { createServer } from 'node:http'
import { type Fault, readSensor, rooms } from './air'

const faults = new Map<string, Fault>()
const known: readonly string[] = ['none', 'dead', 'sun', 'silent']
const port = Number(process.argv[2] ?? 0)

const server = createServer((request, response) => {
  const path = decodeURIComponent(new URL(request.url ?? '/', 'http://sensor').pathname)
  const faulty = /^\/rooms\/([^/]+)\/fault$/.exec(path)?.[1]
  if (request.method === 'GET' && path === '/air') {
    const readings = rooms.flatMap((room) => readSensor(room, Date.now(), faults.get(room.name) ?? 'none') ?? [])
    return response.writeHead(200, { 'content-type': 'application/json' }).end(JSON.stringify({ readings }))
  }
  if (request.method === 'PUT' && faulty && rooms.some(({ name }) => name === faulty)) {
    let body = ''
    request.on('data', (chunk: Buffer) => {
      body += chunk.toString()
      if (body.length > 100) request.destroy()
    })
    request.on('end', () => {
      const fault = body.replaceAll('"', '').trim()
      if (!known.includes(fault)) return response.writeHead(400).end(`one of: ${known.join(', ')}`)
      faults.set(faulty, fault as Fault)
      response.writeHead(204).end()
    })
    return
  }
  response.writeHead(404).end()
})
server.listen(port, '127.0.0.1', () => {
  const address = server.address()
  console.log(`sensor: http://127.0.0.1:${typeof address === 'object' ? address?.port : ''}`)
})
