/** Photographs and their two renditions. */
import type { Photo } from '../core/piece/piece'
import type { Client } from './pool'

export type PhotoSize = 'small' | 'large'
export type Renditions = Record<PhotoSize, Buffer>

/** Stores a photograph once; the same id again leaves the first. */
export async function addPhoto(
  client: Client,
  studioId: string,
  pieceId: string,
  photo: Photo,
  bytes: Renditions,
): Promise<void> {
  const { rowCount } = await client.query(
    `insert into photo (id, studio_id, piece_id, part_id, step_id, moment, taken_at, width, height, alt)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)
     on conflict (id) do nothing`,
    [photo.id, studioId, pieceId, photo.partId, photo.stepId, photo.moment, photo.takenAt, photo.width, photo.height, photo.alt],
  )
  if (rowCount !== 1) return
  await client.query(
    `insert into photo_rendition (photo_id, studio_id, size, bytes) values ($1, $2, 'small', $3), ($1, $2, 'large', $4)`,
    [photo.id, studioId, bytes.small, bytes.large],
  )
}

export async function findRendition(client: Client, photoId: string, size: PhotoSize): Promise<Buffer | null> {
  const { rows } = await client.query<{ bytes: Buffer }>('select bytes from photo_rendition where photo_id = $1 and size = $2', [
    photoId,
    size,
  ])
  return rows[0]?.bytes ?? null
}
