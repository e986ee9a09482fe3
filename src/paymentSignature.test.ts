import { createHmac } from 'node:crypto'
import { expect, test } from 'vitest'
import { isSigned, signed } from './paymentSignature'

const nowMs = 1_790_000_000_000
const text = '{"request":"x","amount":15750}'

test('what was signed with the key is believed, and nothing else', () => {
  const header = signed(text, 'key', nowMs)
  expect(header).toBe(`at=${nowMs},by=${createHmac('sha256', 'key').update(`${nowMs}.${text}`).digest('hex')}`)
  expect(isSigned(text, header, 'key', nowMs)).toBe(true)
  expect(isSigned(text.replace('15750', '15751'), header, 'key', nowMs)).toBe(false)
  expect(isSigned(text, header, 'another', nowMs)).toBe(false)
  // a server without a key believes nobody, whoever signed with none
  expect(isSigned(text, signed(text, '', nowMs), '', nowMs)).toBe(false)
  for (const damaged of [null, '', 'at=1,by=', header.slice(0, -1), header.replace(/at=\d/, 'at=9'), `${header}0`])
    expect(isSigned(text, damaged, 'key', nowMs)).toBe(false)
})
test('what was signed ten minutes ago is not believed: nobody sends again what they heard', () => {
  const header = signed(text, 'key', nowMs)
  expect(isSigned(text, header, 'key', nowMs + 9 * 60_000)).toBe(true)
  expect(isSigned(text, header, 'key', nowMs + 11 * 60_000)).toBe(false)
  expect(isSigned(text, header, 'key', nowMs - 11 * 60_000)).toBe(false)
})
