/** What a part measures, all of its like counted. */
import type { Face } from '@/core/craft/pattern'
import { areaOfSurface, surfaceArea } from '@/core/measure/surfaceArea'
import type { Part } from './piece'

/** m² of a part: the surfaces of one, times how many there are. */
export const areaOfPart = (part: Pick<Part, 'surfaces' | 'count'>): number => surfaceArea(part).area * part.count

/** The share of a part that is turned or carved: it takes longer than flats of the same area. */
export function turnedShare({ surfaces }: Pick<Part, 'surfaces'>): number {
  const whole = surfaceArea({ surfaces }).area
  const turned = surfaces.filter(({ shape, relief }) => shape === 'turnedLeg' || relief === 'carved')
  return whole > 0 ? turned.reduce((sum, surface) => sum + areaOfSurface(surface), 0) / whole : 0
}

/** The largest flat face of a part, where a pattern is set out; undefined where it has none. */
export function faceFor({ surfaces, count: parts }: Pick<Part, 'surfaces' | 'count'>): Face | undefined {
  const [largest] = surfaces
    .flatMap((surface) => (surface.shape === 'panel' ? [surface] : []))
    .sort((a, b) => b.width * b.height - a.width * a.height)
  return largest && { width: largest.width, height: largest.height, count: largest.count * parts }
}

/** Doors, shelves and leaves of which both faces were measured: one is laid on the other. */
export const isTwoSided = ({ kind, surfaces }: Pick<Part, 'kind' | 'surfaces'>): boolean =>
  (kind === 'doors' || kind === 'shelves' || kind === 'leaf') &&
  surfaces.some(({ shape, count }) => shape === 'panel' && count > 1)
