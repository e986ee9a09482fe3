/**
 * Several servers of this machine behind one port: `node scripts/servers.mjs HOW_MANY start -H 127.0.0.1 -p 4700`. Each is a process of its own with
 * its own connections; whichever ends by itself is begun anew, and with this one all end.
 */
import cluster from 'node:cluster'
import { createRequire } from 'node:module'

const [, , howMany = '1', ...words] = process.argv
const next = createRequire(import.meta.url).resolve('next/dist/bin/next')
/** one that ends sooner has something wrong with it; so many in a row and all end */
const quickMs = 20_000
const mostQuick = 6

if (cluster.isPrimary) {
  cluster.setupPrimary({ exec: next, args: words })
  let quick = 0
  let isOver = false
  // what each does by the clock it does at a moment of its own
  const begin = (k) => {
    const begunMs = Date.now()
    cluster.fork({ ITINERUM_MOMENT: String(k / Number(howMany)) }).once('exit', () => {
      if (isOver) return
      quick = Date.now() - begunMs < quickMs ? quick + 1 : 0
      if (quick >= mostQuick) process.exit(1)
      begin(k)
    })
  }
  for (const signal of ['SIGTERM', 'SIGINT'])
    process.on(signal, () => {
      isOver = true
      for (const worker of Object.values(cluster.workers ?? {})) worker?.kill('SIGTERM')
      process.exit(0)
    })
  for (let k = 0; k < Number(howMany); k += 1) begin(k)
}
