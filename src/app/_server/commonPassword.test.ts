import { expect, test } from 'vitest'
import { joinInput } from '@/core/input/door'
import { isCommon, uncommon } from './commonPassword'

test('what many had is told, with figures hung on too; what a person makes up is not', () => {
  for (const password of ['qwertyuiop', 'Password123', 'basketball', 'Basketball99!', '1q2w3e4r5t', 'q1w2e3r4t5', 'iloveyou2024'])
    expect([password, isCommon(password)]).toEqual([password, true])
  for (const password of ['linen cupboard ladder', 'seven brushes drying', 'oak handle, brass screw', 'Tessellate-9-otters'])
    expect([password, isCommon(password)]).toEqual([password, false])
})

test('it is refused where a password is chosen, by its field', () => {
  const typed = { token: 'k'.repeat(43), name: 'Isolt', called: '', code: '' }
  const parsed = uncommon(joinInput).safeParse({ ...typed, password: 'basketball99' })
  expect(parsed.error?.issues).toMatchObject([{ path: ['password'], message: /^That is guessed at once/ }])
  expect(uncommon(joinInput).safeParse({ ...typed, password: 'linen cupboard ladder' }).success).toBe(true)
})
