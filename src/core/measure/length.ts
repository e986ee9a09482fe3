/**
 * Lengths as they are typed and read at the tape: centimetres, millimetres, feet and inches with fractions. Core unit: mm; pure.
 */
import { decimalMark, formatNumber, numberText, readFigure } from './number'
import type { Measuring } from './units'

const mmPerInch = 25.4
const perUnit: Record<string, number> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: mmPerInch,
  '"': mmPerInch,
  '″': mmPerInch,
  ft: mmPerInch * 12,
  "'": mmPerInch * 12,
  '′': mmPerInch * 12,
}
const vulgar: Record<string, string> = { '½': '1/2', '¼': '1/4', '¾': '3/4', '⅛': '1/8', '⅜': '3/8', '⅝': '5/8', '⅞': '7/8' }

const amount = String.raw`(\d+\s+\d+\s*/\s*\d+|\d+\s*/\s*\d+|\d+(?:[.,]\d+)*)`
const term = new RegExp(String.raw`^\s*${amount}\s*(mm|cm|m|in|ft|"|″|'|′)?`, 'i')

function readAmount(text: string, house: Measuring): number {
  const [whole, fraction] = text.includes('/')
    ? text.trim().split(/\s+(?=\d+\s*\/)/).length === 2
      ? (text.trim().split(/\s+(?=\d+\s*\/)/) as [string, string])
      : ['0', text]
    : [readFigure(text, decimalMark(house)) ?? '', undefined]
  if (fraction === undefined) return Number(whole)
  const [top, bottom] = fraction.split('/').map(Number)
  return Number(whole) + (top ?? NaN) / (bottom ?? NaN)
}

/**
 * Millimetres from "82", "82.5 cm", "32 1/2", "2 ft 8 1/2 in", "5′ 3½″"; a bare number is in cm (metric) or inches
 * (imperial). Null where it can't be read, is not above 0, or is beyond 10 m.
 */
export function parseLength(text: string, house: Measuring): number | null {
  let rest = text.replace(/[½¼¾⅛⅜⅝⅞]/g, (sign) => ` ${vulgar[sign]}`).trim()
  if (rest === '') return null
  let mm = 0
  let last = house.units === 'metric' ? 'cm' : 'in'
  while (rest !== '') {
    const match = term.exec(rest)
    if (!match?.[1]) return null
    const unit = (match[2] ?? (last === 'ft' || last === "'" || last === '′' ? 'in' : last)).toLowerCase()
    mm += readAmount(match[1], house) * (perUnit[unit] ?? NaN)
    last = unit
    rest = rest.slice(match[0].length).trim()
  }
  return Number.isFinite(mm) && mm > 0 && mm <= 10_000 ? mm : null
}

const signs = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞']
/** To the nearest eighth: "32 ½". */
function inchesText(mm: number): string {
  const eighths = Math.round((mm / mmPerInch) * 8)
  const whole = Math.floor(eighths / 8)
  const part = signs[eighths % 8] ?? ''
  return `${whole === 0 && part !== '' ? '' : whole}${part}`
}

/** A length for reading: "82.5 cm", "32½ in" (to the nearest eighth). */
export const formatLength = (mm: number, house: Measuring): string =>
  house.units === 'metric' ? `${formatNumber(mm / 10, house, 1)} cm` : `${inchesText(mm)} in`

/** For a field whose label names the unit: "82.5", "32½". */
export const lengthText = (mm: number, house: Measuring): string =>
  house.units === 'metric' ? numberText(mm / 10, house, 1) : inchesText(mm)

export const sqFtPerM2 = 10.7639

/** An area for reading: "1.24 m²", "13.3 sq ft". */
export const formatArea = (m2: number, house: Measuring): string =>
  house.units === 'metric' ? `${formatNumber(m2, house, 2, 2)} m²` : `${formatNumber(m2 * sqFtPerM2, house, 1, 1)} sq ft`

/** An area as typed into a field whose label names the unit, in m²; null for none, or more than a hundred of them. */
export function parseArea(text: string, { units, locale }: Measuring): number | null {
  const figure = readFigure(text.trim(), decimalMark({ locale }))
  const m2 = figure === null ? NaN : Number(figure) / (units === 'metric' ? 1 : sqFtPerM2)
  return m2 > 0 && m2 <= 100 ? m2 : null
}
/** For a field whose label names the unit: "1.2", "12.9". */
export const areaText = (m2: number, house: Measuring): string =>
  numberText(house.units === 'metric' ? m2 : m2 * sqFtPerM2, house, house.units === 'metric' ? 2 : 1)
