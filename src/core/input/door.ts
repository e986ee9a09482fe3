/** What is typed at the door: a name and a password, an invitation that is taken up. */
import { z } from 'zod'
import { roles } from '@/core/house/roles'
import { chosen } from './entry'
import { id, instant, optionalWords, words } from './fields'

/** a longer one is worked, not read: beyond this it is no password of a person */
const mostLetters = 200
const leastLetters = 10

/** Whatever is typed is tried: what is wrong with it is not told here. */
export const signInText = z.object({
  name: z
    .string()
    .max(mostLetters)
    .transform((text) => text.trim().normalize('NFC')),
  password: z
    .string()
    .max(mostLetters)
    .transform((text) => text.normalize('NFC')),
})
export type SignInText = z.input<typeof signInText>

/** Sign-in names are told apart without regard to capitals. */
const signInName = words('the name you sign in with', 120)
export const joinInput = z
  .object({
    token: z.string().regex(/^[\w-]{43}$/),
    name: signInName,
    called: optionalWords(80).transform((said) => said ?? ''),
    password: z
      .string()
      .transform((text) => text.normalize('NFC'))
      .pipe(
        z
          .string()
          .min(leastLetters, `At least ${leastLetters} letters: three or four plain words make a good one.`)
          .max(mostLetters, `At most ${mostLetters} letters.`),
      ),
  })
  .superRefine(({ name, password }, context) => {
    const plain = password.toLowerCase()
    const guessed =
      new Set(plain).size < 5 ||
      plain.includes(name.toLowerCase()) ||
      /^(?:password|qwerty|letmein|itinerum|\d+)[\d!.]*$/.test(plain)
    if (guessed)
      context.addIssue({
        code: 'custom',
        path: ['password'],
        message: 'That is guessed at once. Three or four plain words make a good one.',
      })
  })
export type JoinText = z.input<typeof joinInput>

export const inviteInput = z.object({
  id,
  token: z.string().regex(/^[\w-]{43}$/),
  role: z.enum(roles),
  personId: chosen,
})
export type InviteText = z.input<typeof inviteInput>
export const inviteBackInput = z.object({ entryId: id, id, at: instant })
export type InviteBackText = z.input<typeof inviteBackInput>
export const sendAwayInput = z.object({ entryId: id, membershipId: id })
export type SendAwayText = z.input<typeof sendAwayInput>
