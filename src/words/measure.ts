/** Shapes and lengths in words. */
import { type FamilyCode, unitOf } from '@/core/craft/families'
import { formatVolume, type UnitSystem } from '@/core/measure/length'
import type { Shape } from '@/core/measure/surfaceArea'

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

/** An amount of a product as it is measured out: wax by weight, all else by volume. */
export const amountWords = (family: FamilyCode, amount: number, units: UnitSystem): string =>
  unitOf(family) === 'g' ? `${Math.round(amount)} g` : formatVolume(amount, units)
