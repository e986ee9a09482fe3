/** Where on a part a layer goes, in words. */
import type { Pattern, PatternKind } from '@/core/craft/pattern'
import type { Place, Where } from '@/core/finish/touch'
import { formatLength } from '@/core/measure/length'
import type { Measuring } from '@/core/measure/units'

export const patternWords: Record<PatternKind, string> = { stripes: 'in stripes', stencil: 'by stencil' }
export const runWords = { upright: 'upright', across: 'across' } as const

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
  const { places = [], share = 1, words, pattern } = where
  const named = places.length === 0 || places.length === 3 ? '' : places.map((place) => placeWords[place]).join(' and ')
  return [named, pattern ? patternWords[pattern.kind] : share < 1 ? saidShare(share) : '', words ?? ''].filter(Boolean).join(', ')
}

/** "5 stripes of 4 cm, 6 cm apart, upright, set out from the middle" */
export function measuresWords(pattern: Pattern, house: Measuring): string {
  const long = (mm: number) => formatLength(mm, house)
  if (pattern.kind === 'stencil') {
    const { across, down, width, height, gap } = pattern
    return `${across} × ${down} repeats of ${long(width)} by ${long(height)}, ${long(gap)} apart, set out from the middle`
  }
  const { count, width, gap, run, from } = pattern
  const stripes = count === 1 ? `One stripe of ${long(width)}` : `${count} stripes of ${long(width)}, ${long(gap)} apart`
  return `${stripes}, ${runWords[run]}, set out from the ${from === 'middle' ? 'middle' : run === 'upright' ? 'left' : 'top'}`
}
