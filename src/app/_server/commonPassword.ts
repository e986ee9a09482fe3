/** Passwords that many people had, as lists of stolen ones tell them: tried first by whoever guesses. Kept on the server, for the list is long. */
import 'server-only'
import { dictionary } from '@zxcvbn-ts/language-common'
import * as z from 'zod'
import { guessedAtOnce, leastLetters } from '@/core/input/door'

/** what is hung on at the end changes little */
const core = (password: string) => password.toLowerCase().replace(/[\d!?.,*#-]+$/, '')
const common = new Set([
  ...dictionary.passwords,
  ...dictionary.passwords.filter((each) => each.length >= leastLetters - 2).map(core),
])

/** Whether a password is one of those, with or without figures at its end. */
export const isCommon = (password: string): boolean => common.has(password.toLowerCase()) || common.has(core(password))

/** What is typed with a new password, of which the password is none of those. */
export const uncommon = <S extends z.ZodType<{ password: string }>>(schema: S) =>
  schema.refine(({ password }) => !isCommon(password), { path: ['password'], message: guessedAtOnce })
