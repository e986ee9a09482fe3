import { afterEach, describe, expect, test, vi } from 'vitest'
import { isOwnNetwork, isPushAddress, sendSealed } from './pushSend'

afterEach(() => vi.unstubAllEnvs())

describe('where a browser’s service may stand', () => {
  test.each(['https://push.itinerum.example/to/1', 'https://a.b.itinerum.example:443/x'])('%s', (address) =>
    expect(isPushAddress(address)).toBe(true),
  )
  test.each([
    'http://push.itinerum.example/to/1',
    'https://127.0.0.1/x',
    'https://[::1]/x',
    'https://2130706433/x',
    'https://0x7f.1/x',
    'https://localhost/x',
    'https://printer.local/x',
    'https://db.internal/x',
    'https://intranet/x',
    'https://push.itinerum.example:8443/x',
    'https://who:me@push.itinerum.example/x',
    'ftp://push.itinerum.example/x',
    'nothing',
  ])('never %s', (address) => expect(isPushAddress(address)).toBe(false))
})

describe('what a name leads to', () => {
  test.each([
    '10.1.2.3',
    '127.0.0.1',
    '169.254.169.254',
    '172.16.0.1',
    '172.31.255.255',
    '192.168.1.1',
    '100.64.0.1',
    '0.0.0.0',
    '224.0.0.1',
    '255.255.255.255',
    '::1',
    '::',
    'fe80::1',
    'fd00::1',
    'ff02::1',
    '::ffff:127.0.0.1',
    '64:ff9b::7f00:1',
    'not a number',
  ])('%s is in a network of one’s own', (address) => expect(isOwnNetwork(address)).toBe(true))
  test.each(['172.32.0.1', '11.0.0.1', '100.128.0.1', '2001:db9::1', '::ffff:11.0.0.1'])('%s is everybody’s', (address) =>
    expect(isOwnNetwork(address)).toBe(false),
  )
  test('a name that leads home is not asked, whatever it is called', async () => {
    vi.stubEnv('ITINERUM_PUSH', undefined)
    expect(await sendSealed('https://localhost.itinerum.example/x', { headers: {}, body: new Uint8Array() })).toBe(0)
  })
})
