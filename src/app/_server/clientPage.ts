/** What a client's link opens: that piece, as it was chosen to be shown, and nothing else. */
import 'server-only'
import { cache } from 'react'
import { tokenInput } from '@/core/input/door'
import type { Instant, PhotoId } from '@/core/measure/named'
import * as pages from '@/db/clientPage'
import { findRendition, type PhotoSize } from '@/db/photo'
import { inSession, SignedOut } from '@/db/pool'
import { getStudio } from '@/db/studio'
import { type Deal, readDeal } from './clientDeal'
import { findPieceView, type PieceView } from './load'
import { actingWith, pool, readStudio } from './session'

/** a client asks no more in a day */
const mostAsked = 20
const isToken = (secret: string): boolean => tokenInput.safeParse(secret).success

const orNull = (error: unknown): null => {
  if (error instanceof SignedOut) return null
  throw error
}

export interface OpenedPage {
  view: PieceView
  /** the link is good until then */
  until: Instant
  page: pages.ClientPage
  words: pages.ClientWord[]
  deal: Deal
}
/** nothing was chosen: its name, and no more */
const bare: pages.ClientPage = { shows: [], language: 'en', photoIds: [] }

/** What a link opens; null where it is over, was taken back or never was. */
export const openClientPage = cache(async (secret: string): Promise<OpenedPage | null> => {
  if (!isToken(secret)) return null
  return actingWith(secret, async () => {
    const found = await readStudio(async (client) => {
      const link = await pages.findOwnLink(client)
      return (
        link && {
          ...link,
          page: (await pages.findClientPage(client, link.pieceId)) ?? bare,
          words: await pages.listClientWords(client, link.pieceId),
          deal: await readDeal(client, link.pieceId, (await getStudio(client)).zone),
        }
      )
    }).catch(orNull)
    const view = found && (await findPieceView(found.pieceId))
    return (
      found &&
      view && {
        ...{ view, until: found.until, page: found.page, deal: found.deal },
        words: found.page.shows.includes('talk') ? found.words : [],
      }
    )
  })
})
export async function noteOpening(secret: string): Promise<void> {
  if (isToken(secret)) await inSession(pool(), secret, pages.noteOpening).catch(orNull)
}

/** A photograph of the page's; null where it was not chosen. */
export const findClientPhoto = (secret: string, id: PhotoId, size: PhotoSize): Promise<Buffer | null> =>
  isToken(secret)
    ? actingWith(secret, () =>
        readStudio(async (client) => (await pages.findOwnLink(client)) && findRendition(client, id, size)),
      ).catch(orNull)
    : Promise.resolve(null)

/** Asks as the client. `gone`: the link opens nothing, or its page takes no questions. */
export async function askAsClient(secret: string, word: { id: string; words: string }): Promise<'asked' | 'gone' | 'much'> {
  if (!isToken(secret)) return 'gone'
  return inSession(pool(), secret, async (client, studioId) => {
    const pieceId = (await pages.findOwnLink(client))?.pieceId
    if (pieceId === undefined || !(await pages.findClientPage(client, pieceId))?.shows.includes('talk')) return 'gone'
    await pages.oneQuestionAtATime(client, pieceId)
    if ((await pages.countAsked(client, pieceId)) >= mostAsked) return 'much'
    await pages.addClientWord(client, studioId, { ...word, pieceId })
    return 'asked'
  }).catch((error: unknown) => orNull(error) ?? 'gone')
}
