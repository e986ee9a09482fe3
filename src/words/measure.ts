/** Shapes, lengths, amounts and the air in words. */
import { type FamilyCode, unitOf } from '@/core/craft/families'
import { formatAmount } from '@/core/measure/amount'
import { formatNumber, type Writing } from '@/core/measure/number'
import type { Shape } from '@/core/measure/surfaceArea'
import type { Measuring, UnitSystem } from '@/core/measure/units'

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
export const amountWords = (family: FamilyCode, amount: number, house: Measuring): string =>
  formatAmount(amount, unitOf(family), house)

/** "21.5 °C, 48 %": degrees and shares of damp are the same in every house. */
export const airWords = ({ temperature, humidity }: { temperature: number; humidity: number }, writing: Writing): string =>
  `${formatNumber(temperature, writing, 1)} °C, ${formatNumber(humidity, writing, 0)} %`

/** "× 1.25" */
export const timesWords = (factor: number, writing: Writing): string => `× ${formatNumber(factor, writing, 2, 2)}`

/** What a studio measures in. */
export const unitWords: Record<UnitSystem, string> = {
  metric: 'cm, ml, g',
  imperial: 'inches, imperial pints',
  us: 'inches, US pints',
}
