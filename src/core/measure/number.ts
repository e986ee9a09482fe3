/** Figures as a studio's country writes them. Pure. */

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

const formats = new Map<string, Intl.NumberFormat>()
/** A format of Intl, made once; it takes longer to make than to use. */
export function numberFormat(locale: Locale, options: Intl.NumberFormatOptions): Intl.NumberFormat {
  const key = `${locale} ${JSON.stringify(options)}`
  const known = formats.get(key)
  if (known) return known
  const made = new Intl.NumberFormat(locale, options)
  formats.set(key, made)
  return made
}

/** "1,234.5" in Britain, "1.234,5" in Germany: with so many decimals at most, and no fewer than `least`. */
export const formatNumber = (value: number, { locale }: Writing, most = 2, least = 0): string =>
  numberFormat(locale, { maximumFractionDigits: most, minimumFractionDigits: least }).format(value).replace('-', '−')

/** For a field: without marks between thousands, so that it is read back as it was written. */
export const numberText = (value: number, { locale }: Writing, most = 2, least = 0): string =>
  numberFormat(locale, { maximumFractionDigits: most, minimumFractionDigits: least, useGrouping: false }).format(value)
