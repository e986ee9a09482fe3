/** A photograph whose bytes are plain words, for tests. */
import { addPhoto } from '@/db/photo'
import type { Client } from '@/db/pool'
import { at } from './rows'

export const addRendition = (client: Client, studioId: string, pieceId: string, id: string, words: string) =>
  addPhoto(
    client,
    studioId,
    pieceId,
    { id, partId: null, stepId: null, moment: 'before', takenAt: at, width: 4, height: 3, alt: '' },
    { small: Buffer.from(words), large: Buffer.from(words) },
  )
