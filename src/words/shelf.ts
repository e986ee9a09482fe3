/** The shelf: what stands together, plank by plank, and of how many jobs something is said. */
import type { FamilyRole } from '@/core/craft/families'
import type { Chance } from '@/core/stock/chance'

export const planks = ['Paints', 'Clears, waxes and oils', 'Primers', 'Stains, glazes and strippers'] as const
export type Plank = (typeof planks)[number]
export const plankOf: Record<FamilyRole, Plank> = {
  paint: 'Paints',
  clear: 'Clears, waxes and oils',
  wax: 'Clears, waxes and oils',
  oil: 'Clears, waxes and oils',
  primer: 'Primers',
  stain: 'Stains, glazes and strippers',
  medium: 'Stains, glazes and strippers',
  resist: 'Stains, glazes and strippers',
  stripper: 'Stains, glazes and strippers',
  cleaner: 'Stains, glazes and strippers',
}

export const ofJobs: Record<Chance, string> = { half: 'one of two', most: 'four of five', all: 'nineteen of twenty' }
