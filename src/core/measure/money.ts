/**
 * Money as an integer of minor units beside an ISO 4217 code: reading what was typed, rounding, showing. Pure.
 */
import { locales, numberFormat, readFigure, type Writing } from './number'
import { remember } from './remember'

/** Rounds half away from zero, as every money line does. */
export function roundMoney(minor: number): number {
  const magnitude = Math.abs(minor)
  // a hair of tolerance, so that 1.005 × 100 counts as the 100.5 that was meant
  return Math.sign(minor) * Math.floor(magnitude + 0.5 + Math.min(1e-7, magnitude * 1e-12)) || 0
}

/** Digits after the point in this currency: 2 for GBP, 0 for JPY, 3 for KWD. Throws on a code that is none. */
export function minorDigits(currency: string): number {
  return numberFormat('en-GB', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2
}

/** What money is reckoned in, and how its figures are written. */
export interface Reckoning extends Writing {
  currency: string
  /** whoever reads sees no money: no figure of it is written */
  hidesMoney?: boolean
}

/** £1,234.50 as the studio writes it; whole amounts drop their zeros where `short`; a dash for who sees no money. */
export function formatMoney(
  minor: number,
  { currency, locale, hidesMoney }: Reckoning,
  options: { short?: boolean } = {},
): string {
  if (hidesMoney) return '—'
  const digits = minorDigits(currency)
  const least = options.short === true && minor % 10 ** digits === 0 ? 0 : digits
  return numberFormat(locale, { style: 'currency', currency, minimumFractionDigits: least, maximumFractionDigits: least })
    .format((minor || 0) / 10 ** digits)
    .replace('-', '−')
}

/** What a figure of money is made of where it is written: some countries write other marks in money than in figures. */
const figureParts = (minor: number, { currency, locale }: Reckoning) =>
  numberFormat(locale, { style: 'currency', currency, useGrouping: false }).formatToParts(minor / 10 ** minorDigits(currency))

/** The figure for a field: 1234.50, or 1234,50 where that is how it is written. */
export const moneyText = (minor: number, house: Reckoning): string =>
  figureParts(minor, house)
    .filter(({ type }) => type === 'integer' || type === 'decimal' || type === 'fraction' || type === 'minusSign')
    .map(({ value }) => value)
    .join('')

/** What stands between whole coins and small ones; nothing where there are none. */
const decimalMark = (house: Reckoning): string | undefined => figureParts(0, house).find(({ type }) => type === 'decimal')?.value

/** The figure for a file that machines read: 1234.50 everywhere. */
export function plainMoney(minor: number, currency: string): string {
  const digits = minorDigits(currency)
  return (minor / 10 ** digits).toFixed(digits)
}

/** What a currency is called beside a figure: its code, its sign, the letters some countries write for it. */
const signsOf = remember((currency: string): string[] => {
  const shown = (['symbol', 'narrowSymbol', 'name'] as const).flatMap((currencyDisplay) =>
    locales.map(
      (locale) =>
        numberFormat(locale, { style: 'currency', currency, currencyDisplay })
          .formatToParts(1)
          .find(({ type }) => type === 'currency')?.value ?? '',
    ),
  )
  return [...new Set([currency, ...shown].map((sign) => sign.toLowerCase().replace(/[\s\u00a0\u202f]/g, '')))].filter(Boolean)
})

/**
 * Minor units from what was typed ("42", "42.5", "£1,234.50", "12,50", "42 GBP"); null where it is no amount: letters that are
 * not this currency's, a sign, smaller coins than it has, or beyond a thousand million.
 */
export function parseMoney(text: string, house: Reckoning): number | null {
  const digits = minorDigits(house.currency)
  const bare = text.toLowerCase().replace(/[\s\u00a0\u202f]/g, '')
  const sign = signsOf(house.currency).find((each) => bare.startsWith(each) || bare.endsWith(each))
  const figure = sign === undefined ? bare : bare.startsWith(sign) ? bare.slice(sign.length) : bare.slice(0, -sign.length)
  // 18.00 of a currency without small coins is 18
  const [whole = '', fraction = ''] =
    readFigure(figure, decimalMark(house))
      ?.replace(/(\.\d*?)0+$/, '$1')
      .split('.') ?? []
  if (!/^\d{1,10}$/.test(whole) || fraction.length > digits) return null
  return Number(whole) * 10 ** digits + Number(fraction.padEnd(digits, '0') || '0')
}

/** As {@link parseMoney}, with a minus before what is less than nothing. */
export function parseSignedMoney(text: string, house: Reckoning): number | null {
  const bare = text.trim()
  const less = /^[-−]/.test(bare)
  const minor = parseMoney(less ? bare.slice(1) : bare, house)
  return less && minor !== null && minor > 0 ? -minor : minor
}
/** As {@link moneyText}, so that {@link parseSignedMoney} reads it back. */
export const signedMoneyText = (minor: number, house: Reckoning): string =>
  minor < 0 ? `−${moneyText(-minor, house)}` : moneyText(minor, house)
