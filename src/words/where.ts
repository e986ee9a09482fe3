/** Where on a part a layer goes, in words. */
import type { Place, Where } from '@/core/finish/touch'

export const placeWords: Record<Place, string> = { field: 'flats', edges: 'edges', recesses: 'recesses' }
/** How much of a place: the shares that a painter would say. */
export const shareWords: readonly [share: string, words: string][] = [
  ['1', 'all of it'],
  ['0.66', 'about two thirds, ragged'],
  ['0.5', 'about half, here and there'],
  ['0.33', 'about a third, here and there'],
  ['0.1', 'a touch here and there'],
]
export const saidShare = (share: number): string =>
  shareWords.find(([known]) => Number(known) === share)?.[1] ?? `${Math.round(share * 100)} %`

/** "edges and recesses, about half, here and there"; empty where it goes all over. */
export function whereWords(where: Where | null | undefined): string {
  if (!where) return ''
  const { places = [], share = 1, words } = where
  const named = places.length === 0 || places.length === 3 ? '' : places.map((place) => placeWords[place]).join(' and ')
  return [named, share < 1 ? saidShare(share) : '', words ?? ''].filter(Boolean).join(', ')
}
