/** Looks laid over another, last of all: dark wax, gilding. Source: the craft, section on looks. */
import { tintedWith } from '@/core/craft/topcoats'
import { base, covering, hard } from './lines'
import type { Look } from './look'

export const overLooks = {
  'aged-wax': {
    words: 'Aged with dark wax',
    tells: 'Dark wax in recesses and edges, blended out.',
    slots: ['a'],
    slotWords: { a: 'Colour' },
    paints: covering,
    on: hard,
    addOn: true,
    seals: ['wax', 'clear', 'hard'],
    wear: 'none',
    recipe: [base, ...tintedWith('dark-wax')],
  },
  limed: {
    words: 'Limed with white wax',
    tells: 'White wax left in grain and recesses, over a wash or a colour.',
    slots: ['a'],
    slotWords: { a: 'Colour' },
    paints: covering,
    on: hard,
    addOn: true,
    seals: ['wax', 'clear', 'hard'],
    wear: 'none',
    recipe: [base, ...tintedWith('white-wax')],
  },
  'gilded-edges': {
    words: 'Gilded edges',
    tells: 'Gilding wax by finger on the high points, last of all.',
    slots: ['a'],
    slotWords: { a: 'Colour' },
    paints: covering,
    on: hard,
    addOn: true,
    seals: ['clear', 'wax', 'hard'],
    wear: 'none',
    recipe: [
      base,
      {
        phase: 'metal',
        operation: 'metallic-wax',
        family: 'metallic-wax',
        applicator: 'finger',
        reason: 'gilding-last',
      },
      { phase: 'metal', operation: 'buff', family: 'metallic-wax', applicator: 'soft cloth', reason: 'sheen' },
    ],
  },
} as const satisfies Record<string, Look>
