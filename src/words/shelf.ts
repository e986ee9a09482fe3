/** What stands together on the shelf, plank by plank. */
import type { FamilyRole } from '@/core/craft/families'

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
