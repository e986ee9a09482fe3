/** What a studio measures in. */
import type { Writing } from './number'

/** Imperial and US measures share inches and ounces by weight; a pint is not the same. */
export const unitSystems = ['metric', 'imperial', 'us'] as const
export type UnitSystem = (typeof unitSystems)[number]

/** How a studio measures, and writes its figures. */
export interface Measuring extends Writing {
  units: UnitSystem
}
