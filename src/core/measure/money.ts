/**
 * Money as an integer of minor units beside an ISO 4217 code: reading what was typed, rounding, showing. Pure.
 */

/** Rounds half away from zero, as every money line does. */
export function roundMoney(minor: number): number {
  const magnitude = Math.abs(minor)
  // a hair of tolerance, so that 1.005 × 100 counts as the 100.5 that was meant
  return Math.sign(minor) * Math.floor(magnitude + 0.5 + Math.min(1e-7, magnitude * 1e-12)) || 0
}

/** Digits after the point in this currency: 2 for GBP, 0 for JPY, 3 for KWD. Throws on a code that is none. */
export function minorDigits(currency: string): number {
  return new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2
}

/** £1,234.50 as the studio writes it; whole amounts drop their zeros where `short`. */
export function formatMoney(minor: number, currency: string, options: { short?: boolean } = {}): string {
  const digits = minorDigits(currency)
  const whole = options.short === true && minor % 10 ** digits === 0
  return new Intl.NumberFormat('en-GB', {
    style: 'currency',
    currency,
    minimumFractionDigits: whole ? 0 : digits,
    maximumFractionDigits: whole ? 0 : digits,
  })
    .format(minor / 10 ** digits)
    .replace('-', '−')
}

/** The plain figure for an input field: 1234.50. */
export function moneyText(minor: number, currency: string): string {
  const digits = minorDigits(currency)
  return (minor / 10 ** digits).toFixed(digits)
}

/** What a currency is called beside a figure: its code, its sign, the letters some countries write for it. */
function signsOf(currency: string): string[] {
  const shown = (['symbol', 'narrowSymbol', 'name'] as const).flatMap((currencyDisplay) =>
    ['en', 'en-GB', 'de', 'fr', 'nb', 'pl', 'cs'].map(
      (locale) =>
        new Intl.NumberFormat(locale, { style: 'currency', currency, currencyDisplay })
          .formatToParts(1)
          .find(({ type }) => type === 'currency')?.value ?? '',
    ),
  )
  return [...new Set([currency, ...shown].map((sign) => sign.toLowerCase().replace(/[\s\u00a0\u202f]/g, '')))].filter(Boolean)
}
const signs = new Map<string, string[]>()

/**
 * Minor units from what was typed ("42", "42.5", "£1,234.50", "12,50", "42 GBP"); null where it is no amount: letters that are
 * not this currency's, a sign, more decimals than it has, or beyond a thousand million.
 */
export function parseMoney(text: string, currency: string): number | null {
  const digits = minorDigits(currency)
  const own = signs.get(currency) ?? signsOf(currency)
  signs.set(currency, own)
  const bare = text.toLowerCase().replace(/[\s\u00a0\u202f'’]/g, '')
  const sign = own.find((each) => bare.startsWith(each) || bare.endsWith(each))
  const figure = sign === undefined ? bare : bare.startsWith(sign) ? bare.slice(sign.length) : bare.slice(0, -sign.length)
  if (!/^[\d.,]+$/.test(figure)) return null
  const lastMark = Math.max(figure.lastIndexOf('.'), figure.lastIndexOf(','))
  const tail = lastMark < 0 ? '' : figure.slice(lastMark + 1)
  const marks = figure.replace(/\d/g, '')
  // one comma before three digits parts thousands; so does a mark that comes twice
  const isDecimal =
    lastMark >= 0 &&
    !(tail.length === 3 && digits !== 3 && figure[lastMark] === ',') &&
    (marks.length === 1 || marks.at(-1) !== marks.at(-2))
  const whole = (isDecimal ? figure.slice(0, lastMark) : figure).replace(/[.,](?=\d{3}(\D|$))/g, '')
  const fraction = isDecimal ? tail : ''
  if (!/^\d{1,10}$/.test(whole || '0') || !/^\d*$/.test(fraction) || fraction.length > digits) return null
  if (whole === '' && fraction === '') return null
  return Number(whole || '0') * 10 ** digits + Number(fraction.padEnd(digits, '0') || '0')
}
