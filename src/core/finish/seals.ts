/**
 * Topcoats as recipes, which use each stands up to, and how many coats that takes. Source: the craft, section on sealing.
 */
import type { FamilyCode } from './families'
import type { UseCode } from './parts'
import type { RecipeLine } from './recipe'

export interface Seal {
  words: string
  uses: readonly UseCode[]
  /** clears by use, where they are counted */
  coats: Partial<Record<UseCode, number>>
  /** only over these paints; any unless given */
  over?: readonly FamilyCode[]
  recipe: readonly RecipeLine[]
}

const smooth320: RecipeLine = { phase: 'seal', operation: 'smooth', grit: '320', reason: 'smooth-between', optional: true }
const deLint: RecipeLine = { phase: 'seal', operation: 'de-lint', reason: 'no-dust-under-clear' }
const thirsty: readonly FamilyCode[] = ['clay', 'chalk-style', 'casein', 'home-chalky', 'stain']
const wiped: RecipeLine = { phase: 'rub', operation: 'wipe-oil', applicator: 'lint-free rag', reason: 'excess-never-hardens' }

export const seals = {
  wax: {
    words: 'wax',
    uses: ['display', 'light'],
    coats: {},
    recipe: [
      { phase: 'seal', operation: 'clear-wax', family: 'clear-wax', film: 'thin', applicator: 'wax brush', reason: 'seal-paint' },
      { phase: 'rub', operation: 'wax-off', family: 'clear-wax', applicator: 'lint-free rag', reason: 'excess-never-hardens' },
      { phase: 'buff', operation: 'buff', family: 'clear-wax', applicator: 'soft cloth', reason: 'sheen' },
    ],
  },
  clear: {
    words: 'water-based clear',
    uses: ['display', 'light', 'heavy', 'heat'],
    coats: { display: 2, light: 2, heavy: 3, heat: 3 },
    recipe: [
      deLint,
      {
        phase: 'seal',
        operation: 'clear-coat',
        times: 'by-use',
        family: 'water-clear',
        film: 'thin',
        applicator: 'foam brush',
        reason: 'seal-use',
        between: [smooth320],
      },
    ],
  },
  hard: {
    words: 'hard exterior clear',
    uses: ['display', 'light', 'heavy', 'heat', 'damp', 'outdoors'],
    coats: { display: 2, light: 2, heavy: 2, heat: 2, damp: 3, outdoors: 3 },
    recipe: [
      deLint,
      {
        phase: 'seal',
        operation: 'clear-coat',
        times: 'by-use',
        family: 'hard-clear',
        film: 'thin',
        applicator: 'foam brush',
        reason: 'seal-use',
        between: [smooth320],
      },
    ],
  },
  oil: {
    words: 'drying oil',
    uses: ['display', 'light'],
    coats: {},
    over: thirsty,
    recipe: [
      deLint,
      { phase: 'seal', operation: 'oil', family: 'drying-oil', film: 'thin', applicator: 'fine pad', reason: 'oil-feeds' },
      { ...wiped, family: 'drying-oil' },
    ],
  },
  'oil-wax': {
    words: 'oil-wax',
    uses: ['display', 'light'],
    coats: {},
    over: thirsty,
    recipe: [
      deLint,
      { phase: 'seal', operation: 'oil', family: 'oil-wax', film: 'thin', applicator: 'fine pad', reason: 'oil-feeds' },
      { ...wiped, family: 'oil-wax' },
    ],
  },
  none: {
    words: 'none: the paint seals itself',
    uses: ['display', 'light'],
    coats: {},
    over: ['all-in-one', 'chalk-mineral', 'latex', 'alkyd'],
    recipe: [],
  },
} as const satisfies Record<string, Seal>

export type SealCode = keyof typeof seals
export const sealCodes = Object.keys(seals) as [SealCode, ...SealCode[]]
export function getSeal(code: SealCode): Seal {
  return seals[code]
}

/** Whether a topcoat stands up to a use and holds on a paint. */
export const sealFits = (code: SealCode, use: UseCode, paint: FamilyCode): boolean => {
  const { uses, over } = getSeal(code)
  return uses.includes(use) && (!over || over.includes(paint))
}
