/** What is asked of an article, in words. */
import type { Ask, Size } from '@/core/piece/article'

export const askWords: Record<Ask, string> = { alike: 'Alike ones', drawers: 'Drawers', doors: 'Doors', shelves: 'Shelves' }
export const sizeWords: Record<keyof Size, string> = { width: 'Wide', depth: 'Deep', height: 'High' }
