/**
 * Amounts of what is in tins: as they are judged at the bench ("80", "4 fl oz", "1/3 tin", "about a third of the tin"), as they
 * stand on a tin ("1 quart", "½ pt", "250 g"), and as they are shown. Core unit: ml or g; pure.
 */
import { decimalMark, formatNumber, numberText, readFigure } from './number'
import type { Measuring, UnitSystem } from './units'

/** What a product is measured out in: wax by weight, all else by volume. */
export type AmountUnit = 'ml' | 'g'

const britain = { 'fl oz': 28.4130625, pt: 568.26125, qt: 1136.5225, gal: 4546.09 }
const states = { 'fl oz': 29.5735295625, pt: 473.176473, qt: 946.352946, gal: 3785.411784 }
const liquid: Record<UnitSystem, Readonly<Record<string, number>>> = { metric: britain, imperial: britain, us: states }
const litres = { ml: 1, cl: 10, dl: 100, l: 1000 }
const weights = { g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 }

/** How a unit may be written, by its name in the tables above. */
const spellings: readonly (readonly [name: string, pattern: RegExp])[] = [
  ['fl oz', /^fl(?:uid)?\.?\s*(?:oz\.?|ounces?)$/],
  ['ml', /^(?:ml|millilit(?:re|er)s?)$/],
  ['cl', /^cl$/],
  ['dl', /^dl$/],
  ['pt', /^(?:pts?\.?|pints?)$/],
  ['qt', /^(?:qts?\.?|quarts?)$/],
  ['gal', /^(?:gals?\.?|gallons?)$/],
  ['oz', /^(?:oz\.?|ounces?)$/],
  ['lb', /^(?:lbs?\.?|pounds?)$/],
  ['kg', /^(?:kgs?|kilos?|kilograms?)$/],
  ['l', /^(?:l|lit(?:re|er)s?)$/],
  ['g', /^(?:g|grams?)$/],
]
const unitNamed = (text: string): string | undefined => spellings.find(([, pattern]) => pattern.test(text))?.[0]

/** The small unit that a bare figure is in, and how much it is. */
export function smallUnit(unit: AmountUnit, system: UnitSystem): { words: string; size: number } {
  if (system === 'metric') return { words: unit, size: 1 }
  return unit === 'g' ? { words: 'oz', size: weights.oz } : { words: 'fl oz', size: liquid[system]['fl oz'] ?? NaN }
}

/** How much one of a unit is of ml or g; null where it does not measure this. An ounce of what is poured is a fluid one. */
function sizeOf(name: string | undefined, country: string | undefined, unit: AmountUnit, system: UnitSystem): number | null {
  if (name === undefined) return smallUnit(unit, system).size
  if (unit === 'g') return weights[name as keyof typeof weights] ?? null
  const from: Readonly<Record<string, number>> =
    country === undefined ? liquid[system] : country.startsWith('u') ? states : britain
  return litres[name as keyof typeof litres] ?? from[name === 'oz' ? 'fl oz' : name] ?? null
}

const vulgar: Record<string, string> = { '½': '1/2', '⅓': '1/3', '⅔': '2/3', '¼': '1/4', '¾': '3/4', '⅛': '1/8' }
const shares: Record<string, number> = { half: 1 / 2, third: 1 / 3, quarter: 1 / 4, tenth: 1 / 10, whole: 1, all: 1 }

/** "2", "2.5", "2,5", "1/2", "1 1/2". */
function figureOf(text: string, house: Measuring): number | null {
  const [, whole, top, bottom] = /^(?:(\d+)\s+)?(\d+)\s*\/\s*([1-9]\d*)$/.exec(text) ?? []
  if (top !== undefined) return Number(whole ?? 0) + Number(top) / Number(bottom)
  const figure = readFigure(text, decimalMark(house))
  return figure === null ? null : Number(figure)
}

/**
 * ml or g of what was written; a bare figure is in the studio's small unit, a bare fraction or a share in words is of `tin`. Null
 * where it says nothing that can be measured, or in a unit that does not measure this.
 */
export function parseAmount(text: string, unit: AmountUnit, house: Measuring, tin: number | null = null): number | null {
  const said = text
    .trim()
    .toLowerCase()
    .replace(/[½⅓⅔¼¾⅛]/g, (sign) => ` ${vulgar[sign]}`)
    .trim()
  const [, figure = '', country, rest = ''] = /^([\d.,/\s]+?)\s*(us|u\.s\.|imp(?:erial)?\.?|uk)?\s*([a-z. ]*)$/.exec(said) ?? []
  const amount = figureOf(figure.trim(), house)
  const named = unitNamed(rest.trim())
  const isShare = named === undefined && (figure.includes('/') || rest !== '')
  if (amount !== null && !isShare) {
    const size = sizeOf(named, country, unit, house.units)
    return size === null ? null : amount * size
  }
  const share = shareOf(said, amount)
  return share === null || tin === null || !(share > 0 && share <= 1) ? null : Math.round(share * tin)
}

/** "1/3 tin", "about a third of the tin", "two thirds". */
function shareOf(said: string, figure: number | null): number | null {
  const [, top, bottom] = /(\d+)\s*\/\s*(\d+)/.exec(said) ?? []
  if (bottom !== undefined) return Number(top) / Number(bottom)
  const word = figure === null ? Object.keys(shares).find((name) => said.includes(name)) : undefined
  if (word === undefined) return null
  const times = /\b(two|three)\b/.exec(said)?.[1]
  return (shares[word] ?? 0) * (times === 'two' ? 2 : times === 'three' ? 3 : 1)
}

/** For a field whose label names the small unit: "118", "12.5", "4". */
export const amountText = (amount: number, unit: AmountUnit, house: Measuring): string =>
  numberText(amount / smallUnit(unit, house.units).size, house)

/** For what is read later, however the house measures and writes by then: "118.29 ml", two decimals, so that no mark parts thousands. */
export const plainAmount = (amount: number, unit: AmountUnit): string => `${Math.round(amount * 100) / 100} ${unit}`

/** For reading: "120 ml", "1.25 l", "4.1 fl oz", "250 g". */
export function formatAmount(amount: number, unit: AmountUnit, house: Measuring): string {
  if (house.units === 'metric' && unit === 'ml' && amount >= 1000) return `${formatNumber(amount / 1000, house, 2, 2)} l`
  const { words, size } = smallUnit(unit, house.units)
  return `${formatNumber(amount / size, house, house.units === 'metric' ? 0 : 1)} ${words}`
}
