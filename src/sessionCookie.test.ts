import { describe, expect, test } from 'vitest'
import { isFor, ownPlace, sessionCookie } from './sessionCookie'

describe('the cookie of a session', () => {
  test('over TLS no other host or path can set it', () =>
    expect(sessionCookie('studio.example:4743', true)).toEqual({ name: '__Host-itinerum', secure: true }))
  test('on loopback two servers keep their own', () => {
    expect(sessionCookie('127.0.0.1:4700', false)).toEqual({ name: 'itinerum-4700', secure: false })
    expect(sessionCookie('[::1]:4701', false).name).toBe('itinerum-4701')
    expect(sessionCookie('127.0.0.1', false).name).toBe('itinerum-80')
  })
})

test('what one person wrote is not taken in the session of another', () => {
  const sent = (whose: string | null) =>
    isFor({ membershipId: 'a' }, new Headers(whose === null ? {} : { 'itinerum-member': whose }))
  expect([sent(null), sent('a'), sent('b')]).toEqual([true, true, false])
})

describe('where one goes on to', () => {
  test.each(['/', '/week', '/pieces?q=settle&show=all', '/pieces/01900000-0000-7000-8000-000000000001/way'])(
    '%s is ours',
    (place) => expect(ownPlace(place)).toBe(place),
  )
  test.each([
    null,
    '',
    'week',
    '//elsewhere.example',
    '/\\elsewhere.example',
    'http://elsewhere.example',
    '/sign-in?to=/',
    '/api/week',
    '/a b',
    '/\n/x',
  ])('%j is the bench instead', (place) => expect(ownPlace(place)).toBe('/'))
})
