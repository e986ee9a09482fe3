'use server'
/** What a client may see of their piece, the links to it, and answers to what they ask. */
import { writeOnce } from '@/app/_server/write'
import {
  clientAnswerInput,
  type ClientAnswerText,
  clientLinkBackInput,
  type ClientLinkBackText,
  clientLinkInput,
  type ClientLinkText,
  clientPageInput,
  type ClientPageText,
  eraseClientInput,
  type EraseClientText,
} from '@/core/input/client'
import type { Answer } from '@/core/input/issues'
import { addClientLink, addClientWord, revokeClientLink, saveClientPage } from '@/db/clientPage'
import { eraseClient as eraseWhatIsKnown } from '@/db/erasure'

export async function keepClientPage(typed: ClientPageText): Promise<Answer> {
  return writeOnce(
    'keepClientPage',
    clientPageInput,
    typed,
    ({ entryId }) => entryId,
    (client, studio, { pieceId, ...page }) => saveClientPage(client, studio.id, pieceId, page),
  )
}

export async function makeClientLink(typed: ClientLinkText): Promise<Answer> {
  return writeOnce(
    'makeClientLink',
    clientLinkInput,
    typed,
    ({ id }) => id,
    (client, studio, { token: secret, ...link }) => addClientLink(client, studio.id, { ...link, secret }),
  )
}

export async function takeBackClientLink(typed: ClientLinkBackText): Promise<Answer> {
  return writeOnce(
    'takeBackClientLink',
    clientLinkBackInput,
    typed,
    ({ entryId }) => entryId,
    (client, _studio, { id, at }) => revokeClientLink(client, id, at),
  )
}

export async function answerClient(typed: ClientAnswerText): Promise<Answer> {
  return writeOnce(
    'answerClient',
    clientAnswerInput,
    typed,
    ({ id }) => id,
    (client, studio, word) => addClientWord(client, studio.id, word),
  )
}

export async function eraseClient(typed: EraseClientText): Promise<Answer> {
  return writeOnce(
    'eraseClient',
    eraseClientInput,
    typed,
    ({ entryId }) => entryId,
    async (client, _studio, { pieceId, words }) => {
      await eraseWhatIsKnown(client, pieceId, words)
    },
  )
}
