/** What is typed about a client's page, at the desk and on the page itself. */
import { z } from 'zod'
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
export type ClientAnswerText = z.input<typeof clientAnswerInput>
