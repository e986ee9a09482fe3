/**
 * A photograph as it comes in: told by its content, turned upright, stripped of where it was taken, made in two sizes. What is
 * too large is told by its header and never unpacked.
 */
import 'server-only'
import sharp, { type Sharp } from 'sharp'
import type { Renditions } from '@/db/photo'
import { unpackHeic } from './heic'
import { inTurns } from './turns'

/** Enough for any phone; more is a mistake or an attack. */
const mostPixels = 60_000_000
const longestSide = 20_000
const kinds = new Set(['jpeg', 'png', 'webp', 'avif', 'tiff'])
export const mostBytes = 40_000_000

export type PictureIssue = 'empty' | 'too-big' | 'no-picture' | 'broken'
export interface Picture {
  width: number
  height: number
  bytes: Renditions
}

const isHeic = (file: Buffer): boolean =>
  /^ftyp(heic|heix|heim|heis|hevc|hevx|mif1|msf1)/.test(file.subarray(4, 12).toString('latin1'))

/** The picture, not unpacked yet where it need not be; or what is wrong with the file. */
async function open(file: Buffer): Promise<Sharp | PictureIssue> {
  const limits = { limitInputPixels: mostPixels, failOn: 'error', sequentialRead: true } as const
  const opened = sharp(file, limits)
  const facts = await opened.metadata().catch((error: unknown) => (/pixel limit/i.test(String(error)) ? 'too-big' : null))
  if (facts === 'too-big') return 'too-big'
  if (facts && kinds.has(facts.format)) {
    const { width, height } = facts
    return width * height > mostPixels || Math.max(width, height) > longestSide ? 'too-big' : opened
  }
  if (!isHeic(file)) return 'no-picture'
  const raw = await unpackHeic(file, mostPixels)
  if ('issue' in raw) return raw.issue
  const { width, height, data } = raw
  return sharp(data, { raw: { width, height, channels: 4 } })
}

async function read(file: Buffer): Promise<Picture | { issue: PictureIssue }> {
  const opened = await open(file)
  if (typeof opened === 'string') return { issue: opened }
  try {
    const rendition = (side: number) =>
      opened
        .clone()
        .autoOrient()
        .resize(side, side, { fit: 'inside', withoutEnlargement: true })
        .webp({ quality: 80 })
        .toBuffer({ resolveWithObject: true })
    const large = await rendition(1600)
    // the small one is made of the large one: the file is unpacked once
    const small = await sharp(large.data)
      .resize(480, 480, { fit: 'inside', withoutEnlargement: true })
      .webp({ quality: 80 })
      .toBuffer()
    return { width: large.info.width, height: large.info.height, bytes: { large: large.data, small } }
  } catch {
    return { issue: 'broken' }
  }
}

/** two at a time are what a small machine unpacks beside its pages */
const turns = inTurns(2, 30)

/**
 * Two WebP renditions (1600 and 480 px at the longer side) of an upright picture, or what is wrong with the file. Two are
 * worked at a time; throws TooMany where too many stand in line.
 */
export async function readPicture(file: Buffer): Promise<Picture | { issue: PictureIssue }> {
  if (file.length === 0) return { issue: 'empty' }
  if (file.length > mostBytes) return { issue: 'too-big' }
  return turns(() => read(file))
}
