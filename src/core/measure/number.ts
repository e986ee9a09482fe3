/** Figures as a studio's country writes them. Pure. */
import { remember } from './remember'

/** Whose dates, times, money and figures are written how; the words beside them are English everywhere. */
export const locales = [
  'en-GB',
  'en-US',
  'en-AU',
  'en-CA',
  'en-IE',
  'en-NZ',
  'de-AT',
  'de-CH',
  'de-DE',
  'da-DK',
  'es-ES',
  'fi-FI',
  'fr-BE',
  'fr-CH',
  'fr-FR',
  'it-IT',
  'nb-NO',
  'nl-NL',
  'pl-PL',
  'pt-PT',
  'sv-SE',
] as const
export type Locale = (typeof locales)[number]
/** How figures are written. */
export interface Writing {
  locale: Locale
}

export const numberFormat = remember(
  (locale: Locale, options: Intl.NumberFormatOptions): Intl.NumberFormat => new Intl.NumberFormat(locale, options),
)

/** "1,234.5" in Britain, "1.234,5" in Germany: with so many decimals at most, and no fewer than `least`. */
export const formatNumber = (value: number, { locale }: Writing, most = 2, least = 0): string =>
  numberFormat(locale, { maximumFractionDigits: most, minimumFractionDigits: least }).format(value).replace('-', '−')

/** For a field: without marks between thousands, so that it is read back as it was written. */
export const numberText = (value: number, { locale }: Writing, most = 2, least = 0): string =>
  numberFormat(locale, { maximumFractionDigits: most, minimumFractionDigits: least, useGrouping: false }).format(value)

/** What stands between a whole figure and its decimals. */
export const decimalMark = ({ locale }: Writing): string =>
  numberFormat(locale, {})
    .formatToParts(0.5)
    .find(({ type }) => type === 'decimal')?.value ?? '.'

/**
 * A figure as it was typed, as machines write it ("1234.50"); null where it is none. A point or a comma is the decimal mark,
 * whichever is the country's own (`decimal`), but where three digits follow the other one it parts thousands; so does a mark that
 * comes twice.
 */
export function readFigure(text: string, decimal: string | undefined): string | null {
  const bare = text.replace(/[\s\u00a0\u202f'’]/g, '')
  if (!/^[\d.,]*\d[\d.,]*$/.test(bare)) return null
  const lastMark = Math.max(bare.lastIndexOf('.'), bare.lastIndexOf(','))
  const marks = bare.replace(/\d/g, '')
  const partsThousands = /^[1-9][\d.,]*[.,]\d{3}$/.test(bare) && bare[lastMark] !== decimal
  const isDecimal = lastMark >= 0 && !partsThousands && (marks.length === 1 || marks.at(-1) !== marks.at(-2))
  const whole = (isDecimal ? bare.slice(0, lastMark) : bare).replace(/[.,](?=\d{3}(\D|$))/g, '')
  if (!/^\d*$/.test(whole)) return null
  const fraction = isDecimal ? bare.slice(lastMark + 1) : ''
  return `${whole || '0'}${fraction === '' ? '' : `.${fraction}`}`
}

/** The largest whole number that divides both; whole numbers from nought on. */
export const commonDivisor = (a: number, b: number): number => (b === 0 ? a : commonDivisor(b, a % b))
