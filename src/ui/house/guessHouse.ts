/** What a device knows of the house it stands in. */
import type { StudioText } from '@/core/input/house'
import { locales } from '@/core/measure/number'

const euro = ['AT', 'BE', 'DE', 'ES', 'FI', 'FR', 'IE', 'IT', 'NL', 'PT']
const moneyOf: Record<string, string> = {
  AU: 'AUD',
  CA: 'CAD',
  CH: 'CHF',
  DK: 'DKK',
  GB: 'GBP',
  NO: 'NOK',
  NZ: 'NZD',
  PL: 'PLN',
  SE: 'SEK',
  US: 'USD',
  ...Object.fromEntries(euro.map((country) => [country, 'EUR'])),
}
/** What a device's own language and zone say of the house that it stands in: a first guess, to be looked at. */
export function guessHouse(language: string, zone: string): Pick<StudioText, 'zone'> & Partial<StudioText> {
  const locale = locales.find((each) => each === language) ?? locales.find((each) => each.startsWith(language.slice(0, 2)))
  const country = locale?.slice(3) ?? ''
  return {
    zone,
    ...(locale && { locale, units: country === 'US' ? 'us' : 'metric' }),
    ...(moneyOf[country] && { currency: moneyOf[country] }),
  }
}
