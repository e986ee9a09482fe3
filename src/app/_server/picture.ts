/**
 * A photograph as it comes in: told by its content, turned upright, stripped of where it was taken, made in two sizes.
 */
import 'server-only'
import sharp from 'sharp'
import type { Renditions } from '@/db/photo'

/** Enough for any phone; more is a mistake or an attack. */
const mostPixels = 120_000_000
const kinds = new Set(['jpeg', 'png', 'webp', 'avif', 'tiff'])
export const mostBytes = 40_000_000

export type PictureIssue = 'empty' | 'too-big' | 'heic' | 'no-picture' | 'broken'
export interface Picture {
  width: number
  height: number
  bytes: Renditions
}

/** Two WebP renditions (1600 and 480 px at the longer side) of an upright picture, or what is wrong with the file. */
export async function readPicture(file: Buffer): Promise<Picture | { issue: PictureIssue }> {
  if (file.length === 0) return { issue: 'empty' }
  if (file.length > mostBytes) return { issue: 'too-big' }
  if (/^ftyp(heic|heix|hevc|mif1|msf1)/.test(file.subarray(4, 12).toString('latin1'))) return { issue: 'heic' }
  const opened = sharp(file, { limitInputPixels: mostPixels, failOn: 'error' })
  try {
    const { format } = await opened.metadata()
    if (!kinds.has(format)) return { issue: 'no-picture' }
  } catch (error) {
    return { issue: /pixel limit/.test(String(error)) ? 'too-big' : 'no-picture' }
  }
  try {
    const rendition = (side: number) =>
      opened
        .clone()
        .autoOrient()
        .resize(side, side, { fit: 'inside', withoutEnlargement: true })
        .webp({ quality: 80 })
        .toBuffer({ resolveWithObject: true })
    const [large, small] = [await rendition(1600), await rendition(480)]
    return { width: large.info.width, height: large.info.height, bytes: { large: large.data, small: small.data } }
  } catch {
    return { issue: 'broken' }
  }
}
