/** Secrets that open a door: only their digests are kept. */
import { createHash, randomBytes } from 'node:crypto'

/** 32 random bytes, as an address may hold them. */
export const freshSecret = (): string => randomBytes(32).toString('base64url')
export const digestOfSecret = (secret: string): Buffer => createHash('sha256').update(secret).digest()
