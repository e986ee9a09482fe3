/** The acts that right stacks are written with. For tests alone. */
import { act, coat } from './stacks'

export const cleaned = act('clean', { family: 'degreaser' })
export const rinsed = act('rinse')
export const scuffed = act('scuff', { grit: '180–220' })
export const dusted = act('dust-off')
export const wiped = act('wipe-spirits', { family: 'spirits' })
export const prep = [cleaned, rinsed, scuffed, dusted]
export const gripPrimer = act('adhesion-prime', { family: 'adhesion-primer' })
export const blockPrimer = act('block-prime', { family: 'blocking-primer' })
export const deLinted = act('de-lint')
export const clearCoat = act('clear-coat', { family: 'water-clear' })
export const hardCoat = act('clear-coat', { family: 'hard-clear' })
export const waxOn = act('clear-wax', { family: 'clear-wax' })
export const waxRubbed = act('wax-off', { family: 'clear-wax' })
export const buffed = act('buff', { family: 'clear-wax' })
export const tinted = act('tinted-wax', { family: 'dark-wax' })
export const oilOn = act('oil', { family: 'drying-oil' })
export const oilWiped = act('wipe-oil', { family: 'drying-oil' })
/** Milk paint on bare wood, worn damp and dusted. */
export const wornMilkPaint = [
  cleaned,
  rinsed,
  dusted,
  ...[1, 2].map(() => coat('casein', 'rust', { mix: 'powder : water 1 : 1' })),
  act('wet-distress'),
  dusted,
]
