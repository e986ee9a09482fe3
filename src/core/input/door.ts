/** What is typed at the door: a name and a password, an invitation that is taken up. */
import * as z from 'zod'
import { keyDays, keyMay } from '@/core/house/keys'
import { roles } from '@/core/house/roles'
import { chosen } from './entry'
import { id, instant, optionalWords, words } from './fields'

/** a longer one is worked, not read: beyond this it is no password of a person */
const mostLetters = 200
export const leastLetters = 10

/** figures of the minute, or a printed code; empty until it is asked for */
const code = z.string().max(40, 'Six figures, or one of your printed codes.')

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
  code: code.default(''),
})
export type SignInText = z.input<typeof signInText>

export const guessedAtOnce = 'That is guessed at once. Three or four plain words make a good one.'
/** few letters again and again, or what everybody tries first */
const isGuessed = (password: string): boolean =>
  new Set(password.toLowerCase()).size < 5 || /^(?:password|qwerty|letmein|itinerum|\d+)[\d!.]*$/i.test(password)

/** Sign-in names are told apart without regard to capitals. */
const signInName = words('the name you sign in with', 120)
const newPassword = z
  .string()
  .transform((text) => text.normalize('NFC'))
  .pipe(
    z
      .string()
      .min(leastLetters, `At least ${leastLetters} letters: three or four plain words make a good one.`)
      .max(mostLetters, `At most ${mostLetters} letters.`)
      .refine((password) => !isGuessed(password), guessedAtOnce),
  )
const token = z.string().regex(/^[\w-]{43}$/)
export const joinInput = z
  .object({
    token,
    name: signInName,
    called: optionalWords(80).transform((said) => said ?? ''),
    password: newPassword,
    code: code.default(''),
  })
  .refine(({ name, password }) => !password.toLowerCase().includes(name.toLowerCase()), {
    path: ['password'],
    message: guessedAtOnce,
  })
export type JoinText = z.input<typeof joinInput>

export const inviteInput = z.object({
  id,
  token,
  role: z.enum(roles),
  personId: chosen,
})
export type InviteText = z.input<typeof inviteInput>
export const inviteBackInput = z.object({ entryId: id, id, at: instant })
export type InviteBackText = z.input<typeof inviteBackInput>
export const sendAwayInput = z.object({ entryId: id, membershipId: id })
export type SendAwayText = z.input<typeof sendAwayInput>
export const roleInput = z.object({ entryId: id, membershipId: id, role: z.enum(roles) })
export type RoleText = z.input<typeof roleInput>

/** A new password, by an address that leads to it. */
export const newPasswordInput = z.object({ token, password: newPassword, code: code.default('') })
export type NewPasswordText = z.input<typeof newPasswordInput>
/** One's own password for another. */
export const changePasswordInput = z.object({ old: z.string().max(mostLetters), password: newPassword })
export type ChangePasswordText = z.input<typeof changePasswordInput>
export const passwordKeyInput = z.object({ entryId: id, membershipId: id, token })
export type PasswordKeyText = z.input<typeof passwordKeyInput>

/** Who changes how they come in, or brings a phone in, says again who they are. */
export const provenInput = z.object({ password: z.string().max(mostLetters).default(''), code: code.default('') })
export const changeFactorInput = z.object({
  password: z.string().max(mostLetters),
  code: code.min(1, 'The six figures that the app shows now, or one of your printed codes.'),
})
export type ChangeFactorText = z.input<typeof changeFactorInput>
/** With the secret it is turned on; without, codes are printed anew. */
export const askedFactorInput = changeFactorInput.extend({
  secret: z
    .string()
    .regex(/^[A-Z2-7]{32}$/)
    .optional(),
})
/** A code asked of everybody, or left to each. */
export const codesForAllInput = provenInput.extend({ ask: z.boolean() })
/** A key for another program. */
export const keyInput = provenInput.extend({
  id,
  token,
  name: z
    .string()
    .transform((text) => text.trim())
    .pipe(z.string().min(1, 'Say what it is for, to know it again.').max(80, 'At most 80 letters.')),
  may: z.array(z.enum(keyMay)).refine((may) => may.includes('read'), 'It reads, at least.'),
  days: z.coerce.number().refine((days) => keyDays.some((each) => each === days), 'Choose how long it is good for.'),
})
/** What a browser answers of a passkey, as WebAuthn writes it: bytes as base64url. What is in them is read where they are verified. */
const bytes = z.string().regex(/^[\w-]{1,12000}$/)
const passkeyId = z.string().regex(/^[\w-]{16,1400}$/)
const answered = { id: passkeyId, rawId: passkeyId, type: z.literal('public-key'), clientExtensionResults: z.object({}) }
const madePasskey = z.object({
  ...answered,
  response: z.object({ clientDataJSON: bytes, attestationObject: bytes }),
})
export type MadePasskey = z.output<typeof madePasskey>
export const signedPasskeyInput = z.object({
  ...answered,
  response: z.object({ clientDataJSON: bytes, authenticatorData: bytes, signature: bytes, userHandle: bytes.optional() }),
})
export type SignedPasskey = z.output<typeof signedPasskeyInput>
const passkeyName = words('what you call it, to know it again', 80)
/** Named before it is made: none is made that is not kept. */
export const askPasskeyInput = provenInput.extend({ name: passkeyName })
export const keepPasskeyInput = z.object({ name: passkeyName, made: madePasskey })
export const endPasskeyInput = provenInput.extend({ id: passkeyId })
export const keyBackInput = z.object({ id })
export const nothingInput = z.object({})
export const tokenInput = token

/** Where a browser is told while the app is shut, as the browser writes it. */
export const pushPlaceInput = z.object({
  endpoint: z.url().max(2000),
  keys: z.object({
    p256dh: z.string().regex(/^[\w-]{87,88}$/),
    auth: z.string().regex(/^[\w-]{22,24}$/),
  }),
})
export type PushPlaceInput = z.output<typeof pushPlaceInput>

/** To whom an address that was made is sent. */
export const letterInput = z.object({
  id,
  to: z
    .string()
    .transform((text) => text.trim())
    .pipe(z.email('An address of mail, like name@mill.example.').max(254, 'An address of mail, like name@mill.example.')),
  address: z.url({ protocol: /^https?$/ }).max(400),
})
export type LetterInput = z.output<typeof letterInput>
