/** What a house may choose from: the zones and currencies that this machine knows. */

export interface HouseChoices {
  zones: readonly string[]
  /** code and words */
  currencies: readonly (readonly [code: string, words: string])[]
}

/** The zone in force is among them, whatever this machine calls its own. */
export function listHouseChoices(zone: string): HouseChoices {
  const names = new Intl.DisplayNames('en-GB', { type: 'currency' })
  return {
    zones: [...new Set([zone, 'UTC', ...Intl.supportedValuesOf('timeZone')])],
    currencies: Intl.supportedValuesOf('currency').map((code) => [code, `${code}, ${names.of(code) ?? code}`] as const),
  }
}
