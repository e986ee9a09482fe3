/** What a material, or lead, makes of a line of work, in words. */
import type { AdaptationCode } from '@/core/finish/adapt'

/** Where a line of work is done otherwise, and how. */
export const adaptationWords: Record<AdaptationCode, string> = {
  veneer: 'Veneer: one light pass by hand at 220, no blade, no machine',
  cane: 'Cane and wicker: a scuffing pad at most, cloths and spirits, no wool',
  slick: 'Laminate, metal, glass, plastic: scuffed, not sanded',
  metal: 'Bare metal: its own primer instead of one with water in it',
  melts: 'Glass and plastic: no heat',
  glass: 'Bare glass: nothing to scuff, the primer grips alone',
  soft: 'Cloth and leather: vacuumed, soap and water, nothing coarser than 400, no primer; leather’s wax worked in generously',
  lead: 'Where lead may be: a wet key, no wool, no dust; between its coats of colour nothing is rubbed',
}
