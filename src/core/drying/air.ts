/**
 * How fast a coat dries in a given air, against the reference air of 21 °C and 50 % relative humidity.
 * Temperature in °C, humidity in %; pure. Vapour pressure: Magnus form, WMO-No. 8, Annex 4.B.
 */

/** `evaporation`: water leaves. `reaction`: oil, wax, solvent, glue harden. `cure`: full hardness of any coat. */
export type ClockKind = 'evaporation' | 'reaction' | 'cure'

export interface Air {
  temperature: number
  humidity: number
}

export const referenceAir: Air = { temperature: 21, humidity: 50 }

/** Water-borne coats neither dry nor cure below this, °C. */
const tooCold = 10
const slowest = 0.25
const fastest = 3

/** Above this the water does not leave: a clear hazes, a paint runs; %. */
const tooDamp = 85
export type AirTrouble = 'cold' | 'damp'
/** Why a water-based coat is not begun in this air; null where it may be. Source: the craft, section on windows. */
export const airTrouble = ({ temperature, humidity }: Air): AirTrouble | null =>
  temperature < tooCold ? 'cold' : humidity > tooDamp ? 'damp' : null

/** Vapour pressure deficit in hPa. */
export function vapourDeficit({ temperature, humidity }: Air): number {
  const saturated = 6.112 * Math.exp((17.62 * temperature) / (243.12 + temperature))
  return saturated * (1 - humidity / 100)
}

const clamp = (speed: number) => Math.min(fastest, Math.max(slowest, speed))

/** Speed of a drying clock in this air: 1 at the reference air, 0 where it stands still. */
export function dryingSpeed(kind: ClockKind, air: Air): number {
  if (kind !== 'reaction' && air.temperature < tooCold) return 0
  if (kind === 'evaporation') return clamp(vapourDeficit(air) / vapourDeficit(referenceAir))
  return clamp(2 ** ((air.temperature - referenceAir.temperature) / 10))
}
