/** Photographs and their two renditions. */
import * as z from 'zod'
import type { PhotoId, PieceId, StudioId } from '@/core/measure/named'
import type { Photo } from '@/core/piece/piece'
import type { Client } from './pool'
import { maybe, query } from './rows'

export type PhotoSize = 'small' | 'large'
export type Renditions = Record<PhotoSize, Buffer>

/** Stores a photograph with both its renditions. */
export async function addPhoto(
  client: Client,
  studioId: StudioId,
  pieceId: PieceId,
  photo: Photo,
  bytes: Renditions,
): Promise<void> {
  await client.query(
    `insert into photo (id, studio_id, piece_id, part_id, step_id, moment, taken_at, width, height, alt)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)`,
    [photo.id, studioId, pieceId, photo.partId, photo.stepId, photo.moment, photo.takenAt, photo.width, photo.height, photo.alt],
  )
  await client.query(
    `insert into photo_rendition (photo_id, studio_id, size, bytes) values ($1, $2, 'small', $3), ($1, $2, 'large', $4)`,
    [photo.id, studioId, bytes.small, bytes.large],
  )
}

const rendition = query(
  'a rendition',
  z.object({ bytes: z.instanceof(Buffer) }),
  'select bytes from photo_rendition where photo_id = $1 and size = $2',
)
export async function findRendition(client: Client, photoId: PhotoId, size: PhotoSize): Promise<Buffer | null> {
  const row = await maybe(client, rendition, [photoId, size])
  return row?.bytes ?? null
}
