/** Comes into a demo that is served, as a browser would by one tap; for tests and benches that ask it over HTTP. */

export interface Cookie {
  name: string
  value: string
}
/** As a header carries it. */
export const cookieHeader = ({ name, value }: Cookie): { cookie: string } => ({ cookie: `${name}=${value}` })
/** As a browser's context takes it. */
export const cookieAt = (address: string, { name, value }: Cookie) => ({ name, value, url: address })

/** What an answer set. Throws where it set nothing. */
export function cookieOf(response: Response): Cookie {
  const [, name, value] = /^([\w-]+)=([\w-]+);/.exec(response.headers.get('set-cookie') ?? '') ?? []
  if (!name || !value) throw new Error(`nobody came in: ${response.status}`)
  return { name, value }
}

/** `who`: the beginning of a name; the demo's owner where it isn't said. */
export async function comeIn(address: string, who = ''): Promise<Cookie> {
  const { demo } = (await (await fetch(`${address}/api/session`)).json()) as { demo: { id: string; personName: string }[] }
  const one = demo.find(({ personName }) => personName.startsWith(who))
  if (!one) throw new Error(`nobody of the demo is called ${who}`)
  const response = await fetch(`${address}/api/session`, {
    method: 'POST',
    headers: { origin: address, 'content-type': 'application/json' },
    body: JSON.stringify({ demo: one.id }),
  })
  return cookieOf(response)
}
