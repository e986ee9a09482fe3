/** Being told while the app is shut: what is asked of the server, and in which order. */
import { afterEach, expect, test, vi } from 'vitest'
import { beTold, beToldNoMore } from './toldHere'

const place = {
  endpoint: 'https://push.itinerum.example/one',
  toJSON: () => ({ keys: { p256dh: 'p', auth: 'a' } }),
  unsubscribe: () => Promise.resolve(true),
}
const pushManager = { subscribe: () => Promise.resolve(place), getSubscription: () => Promise.resolve(place) }
/** The server, which keeps a first question back until it is let go. */
function slowServer() {
  const asked: string[] = []
  let letGo = () => {}
  const held = new Promise<void>((resolve) => (letGo = resolve))
  const fetch = vi.fn(async (_: string, { method = 'GET' }: RequestInit = {}) => {
    asked.push(method)
    if (method === 'GET') await held
    return Response.json({ key: btoa('key') })
  })
  vi.stubGlobal('fetch', fetch)
  vi.stubGlobal('window', { PushManager: class {} })
  vi.stubGlobal('navigator', { serviceWorker: { ready: Promise.resolve({ pushManager }) } })
  return { asked, letGo }
}
afterEach(() => vi.unstubAllGlobals())

test('turned off while the page still says where it is: it is off at last', async () => {
  const { asked, letGo } = slowServer()
  const told = beTold()
  const over = beToldNoMore()
  await vi.waitFor(() => expect(asked).toEqual(['GET']))
  letGo()
  expect(await Promise.all([told, over])).toEqual([null, null])
  expect(asked).toEqual(['GET', 'PUT', 'DELETE'])
})
test('what went wrong keeps nothing back that is asked for after it', async () => {
  const { asked, letGo } = slowServer()
  letGo()
  vi.stubGlobal('window', {})
  expect(await beTold()).toBe('no-service')
  expect(await beToldNoMore()).toBeNull()
  expect(asked).toEqual(['DELETE'])
})
