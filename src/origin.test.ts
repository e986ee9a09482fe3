import { afterEach, describe, expect, test, vi } from 'vitest'
import { isOwnAddress, isOwnOrigin, senderOf } from './origin'

afterEach(() => vi.unstubAllEnvs())

describe('who may ask', () => {
  test('this machine by its own name, and nobody else until it was said', () => {
    for (const host of ['127.0.0.1:4700', 'localhost', '[::1]:4700']) expect(isOwnAddress(host)).toBe(true)
    for (const host of [null, '', '192.168.1.5:4743', 'studio.example', '127.0.0.1.elsewhere.example', '127.0.0.1:']) {
      expect(isOwnAddress(host)).toBe(false)
    }
  })
  test('the network it was started for, by the very names and port; a proxy that was named', () => {
    vi.stubEnv('ITINERUM_LAN', '192.168.1.5:4743,loft.local:4743')
    vi.stubEnv('ITINERUM_ORIGIN', 'https://studio.example')
    for (const host of ['192.168.1.5:4743', 'loft.local:4743', 'studio.example', '127.0.0.1'])
      expect(isOwnAddress(host)).toBe(true)
    for (const host of ['192.168.1.5', '192.168.1.5:4700', 'loft.local', 'other.studio.example', ''])
      expect(isOwnAddress(host)).toBe(false)
  })
  test('a write comes from a page of the very address it is sent to', () => {
    expect(isOwnOrigin('https://192.168.1.5:4743', '192.168.1.5:4743')).toBe(true)
    for (const origin of [null, 'null', 'https://192.168.1.5', 'https://elsewhere.example']) {
      expect(isOwnOrigin(origin, '192.168.1.5:4743')).toBe(false)
    }
  })
})

describe('from where somebody asks', () => {
  const said = (over: Record<string, string> = {}) =>
    senderOf(new Headers({ host: '127.0.0.1', 'x-forwarded-for': '10.0.0.9', ...over }))
  test('is this machine, whatever is said of it', () => {
    expect(said()).toBe('127.0.0.1')
    expect(said({ 'itinerum-front': '' })).toBe('127.0.0.1')
    vi.stubEnv('ITINERUM_FRONT_KEY', 'the key')
    expect(said({ 'itinerum-front': 'another' })).toBe('127.0.0.1')
  })
  test('is told by what stands before the server, where that is ours or was named', () => {
    vi.stubEnv('ITINERUM_FRONT_KEY', 'the key')
    expect(said({ 'itinerum-front': 'the key' })).toBe('10.0.0.9')
    vi.stubEnv('ITINERUM_ORIGIN', 'https://studio.example')
    // what a proxy added stands last: what came before it, anybody may have said
    expect(said({ host: 'studio.example', 'x-forwarded-for': '1.1.1.1, 10.0.0.7' })).toBe('10.0.0.7')
    expect(said({ host: 'studio.example', 'x-forwarded-for': '' })).toBe('127.0.0.1')
  })
})
