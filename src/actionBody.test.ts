import fc from 'fast-check'
import { expect, test } from 'vitest'
import { isActionBody, isReadablePath, isRouterTree } from './actionBody'

test('what our pages send passes: plain values in one list, whatever is typed in them', () => {
  // a text that begins with the sign is sent with two of it
  const escaped = fc.string({ unit: 'binary' }).map((text) => (text.startsWith('$') ? `$${text}` : text))
  const typed = fc.dictionary(
    fc.string().filter((key) => key !== '__proto__'),
    fc.oneof(escaped, fc.boolean(), fc.integer(), fc.array(fc.dictionary(fc.constantFrom('id', 'count'), escaped))),
  )
  fc.assert(
    fc.property(typed, (body) => {
      expect(isActionBody(JSON.stringify([body]))).toBe(true)
    }),
  )
  expect(isActionBody('[{"note":"$undefined"}]')).toBe(true)
  expect(isActionBody('[{"note":"$$5 for the tin"}]')).toBe(true)
})

test('half a body, no list, the framework’s own signs and a bottomless list are stopped', () => {
  const bottomless = '['.repeat(5_000) + ']'.repeat(5_000)
  for (const text of [
    '',
    '[',
    '[{"a":1',
    '{}',
    '"x"',
    '["$F1"]',
    '[{"a":"$@1"}]',
    '[{"a":{"b":"$K9"}}]',
    '[{"__proto__":{}}]',
    bottomless,
  ])
    expect(isActionBody(text), text.slice(0, 40)).toBe(false)
})

test('a path whose escapes are no text is not read', () => {
  expect(isReadablePath('/pieces/%F0%9F%AA%91')).toBe(true)
  for (const path of ['/pieces/%ff%fe/money', '/%', '/a%2']) expect(isReadablePath(path), path).toBe(false)
})

test('where a page stands is said as a tree of lists; anything else is stopped', () => {
  const tree = ['', { children: [['id', '01a2', 'd', null], { children: ['__PAGE__', {}, null, null] }] }, null, null, true]
  expect(isRouterTree(encodeURIComponent(JSON.stringify(tree)))).toBe(true)
  for (const text of ['', '%5B', '%5B%5D', '{}', '%ff', encodeURIComponent('["",[]]'), encodeURIComponent('["",{"children":1}]')])
    expect(isRouterTree(text), text).toBe(false)
})
