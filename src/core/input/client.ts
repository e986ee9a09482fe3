/** What is typed about a client's page, at the desk and on the page itself. */
import * as z from 'zod'
import { clientLanguages, clientShows, linkDays, mostWordLetters } from '../house/clientPage'
import { tokenInput } from './door'
import { id, instant } from './fields'

export const clientPageInput = z.object({
  entryId: id,
  pieceId: id,
  shows: z.array(z.enum(clientShows)).max(clientShows.length),
  language: z.enum(clientLanguages),
  photoIds: z.array(id).max(200, 'At most 200 photographs.'),
})
export type ClientPageText = z.input<typeof clientPageInput>

export const clientLinkInput = z.object({
  id,
  pieceId: id,
  token: tokenInput,
  days: z.coerce.number().refine((days) => linkDays.some((each) => each === days), 'Choose how long it is good for.'),
})
export type ClientLinkText = z.input<typeof clientLinkInput>
export const clientLinkBackInput = z.object({ entryId: id, id, at: instant })
export type ClientLinkBackText = z.input<typeof clientLinkBackInput>

const said = z
  .string()
  .transform((text) => text.trim().normalize('NFC'))
  .pipe(
    z
      .string()
      .min(1, 'Write something first.')
      .max(mostWordLetters, `At most ${mostWordLetters} letters; send the rest as another one.`),
  )
/** Asked on the client's page: under a number made there, so that it is kept once. */
export const clientAskInput = z.object({ id, words: said })
export const clientAnswerInput = z.object({ id, pieceId: id, words: said })
/** words to be struck wherever they stand in what was written freely */
const mostStruck = 20
export const eraseClientInput = z.object({
  entryId: id,
  pieceId: id,
  words: z
    .string()
    .transform((text) => text.split(',').map((each) => each.trim().normalize('NFC')))
    .transform((all) => all.filter((each) => each !== ''))
    // said of the field as a whole, where they are typed
    .refine((all) => all.every((each) => each.length >= 3), 'Each at least three letters: shorter ones stand in other words.')
    .refine((all) => all.every((each) => each.length <= 80), 'Each at most 80 letters.')
    .refine((all) => all.every((each) => /\p{L}/u.test(each)), 'Each with a letter in it: figures of the log stay as they are.')
    .refine((all) => all.length <= mostStruck, `At most ${mostStruck}, set apart by commas.`),
})
export type EraseClientText = z.input<typeof eraseClientInput>
export type ClientAnswerText = z.input<typeof clientAnswerInput>
