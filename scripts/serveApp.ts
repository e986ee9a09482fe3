/** The built app, served on a port of its own from a database that is there; for benches and trials. */
import { type ChildProcess, spawn } from 'node:child_process'
import { freePort } from '../e2e/ownServer'

export interface Served {
  address: string
  port: number
  server: ChildProcess
}
/** Answers when it does; throws where it never does. `port`: where it is to stand, if that matters; `processes`: by how many it is served. */
export async function serveApp(urls: { app: string; door: string }, port?: number, processes = 1): Promise<Served> {
  const at = port ?? (await freePort())
  const address = `http://127.0.0.1:${at}`
  const server = spawn(
    'node',
    [
      ...(processes === 1 ? ['node_modules/next/dist/bin/next'] : ['scripts/servers.mjs', String(processes)]),
      'start',
      '-H',
      '127.0.0.1',
      '-p',
      String(at),
    ],
    {
      env: { ...process.env, DATABASE_URL: urls.app, DOOR_DATABASE_URL: urls.door },
      stdio: ['ignore', 'ignore', 'inherit'],
    },
  )
  for (let tries = 0; tries < 300; tries += 1) {
    const isThere = await fetch(`${address}/api/health`).then(
      ({ ok }) => ok,
      () => false,
    )
    if (isThere) return { address, port: at, server }
    await new Promise((wait) => setTimeout(wait, 100))
  }
  server.kill()
  throw new Error(`no server answers at ${address}`)
}
