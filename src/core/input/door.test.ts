import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { joinInput, signInText } from './door'

const typed = { token: 'k'.repeat(43), name: 'Isolt', called: '', password: 'linen cupboard ladder' }
const told = (over: Partial<typeof typed>) => {
  const parsed = joinInput.safeParse({ ...typed, ...over })
  return parsed.success ? null : parsed.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`).join(' ')
}

describe('a password', () => {
  test('of plain words is taken, in any letters, as long as it is', () => {
    for (const password of ['linen cupboard ladder', 'дуб сосна клён', 'ümläut öl tür ahö', 'a b c d e f g h', 'x9!Kq#22zz'])
      expect(told({ password }), password).toBeNull()
  })
  test.each(['short', 'aaaaaaaaaaaa', '1234567890', 'password123', 'itinerum2026', 'my name is isolt'])(
    '%s is refused',
    (password) => expect(told({ password })).toMatch(/^password: /),
  )
  test('is the same however its letters are composed', () => {
    const [one, two] = ['caf\u00e9 au lait bowl', 'cafe\u0301 au lait bowl'].map(
      (password) => signInText.parse({ name: 'a', password }).password,
    )
    expect(one).toBe(two)
  })
  test('that is read at the door is the one that was chosen', () =>
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', minLength: 12, maxLength: 60 }), (password) => {
        const chosen = joinInput.safeParse({ ...typed, password })
        fc.pre(chosen.success)
        expect(signInText.parse({ name: 'Isolt', password }).password).toBe(chosen.data.password)
      }),
    ))
})

test('what is typed at the door is tried, not judged: nothing but its length is refused', () => {
  expect(signInText.safeParse({ name: '', password: '' }).success).toBe(true)
  expect(signInText.safeParse({ name: 'x'.repeat(201), password: '' }).success).toBe(false)
  expect(signInText.parse({ name: ' Isolt ', password: ' as it is ' })).toEqual({
    name: 'Isolt',
    password: ' as it is ',
    code: '',
  })
})
test('a link that was cut on its way is none', () => expect(told({ token: 'short' })).toMatch(/^token: /))
