/** Shapes and lengths in words. */
import type { Shape } from '../../core/surface/surfaceArea'

export const shapeWords: Record<Shape, string> = {
  panel: 'panel',
  squareLeg: 'square leg',
  taperedLeg: 'tapered leg',
  roundLeg: 'round leg',
  turnedLeg: 'turned leg',
}
export const lengthWords: Record<string, string> = {
  width: 'Width',
  height: 'Height',
  length: 'Length',
  top: 'Top width',
  foot: 'Foot width',
  diameter: 'Thickness',
}
