/**
 * Topcoats as recipes, which use each stands up to, and how many coats that takes. Source: the craft, section on sealing.
 */
import { type FamilyCode, getFamily } from './families'
import type { UseCode } from './parts'
import { waxed } from './preparation'
import type { RecipeLine } from './recipe'
import { type Sheen, sheensOf } from './sheen'

export interface Topcoat {
  words: string
  uses: readonly UseCode[]
  /** clears by use, where they are counted */
  coats: Partial<Record<UseCode, number>>
  /** fewer than these are too few for the use */
  least: Partial<Record<UseCode, number>>
  /** only over these paints; any unless given */
  over?: readonly FamilyCode[]
  /** not over these */
  notOver?: readonly FamilyCode[]
  recipe: readonly RecipeLine[]
}

const smooth320: RecipeLine = { phase: 'seal', operation: 'smooth', grit: '320', reason: 'smooth-between', optional: true }
export const deLint: RecipeLine = { phase: 'seal', operation: 'de-lint', reason: 'no-dust-under-clear' }
/** A water-borne clear waits until oil paint has cured, a month; it comes in its own sheen. */
const oilPaint: readonly FamilyCode[] = ['alkyd']
const thirsty: readonly FamilyCode[] = ['clay', 'chalk-style', 'casein', 'home-chalky', 'stain']

/** Tinted wax worked in, off and buffed: over clear wax at tack, or over a dry clear coat. */
export const tintedWith = (family: FamilyCode): readonly RecipeLine[] => [
  {
    phase: 'tint',
    operation: 'tinted-wax',
    family,
    applicator: 'wax brush, off-loaded on card',
    reason: 'age',
  },
  { phase: 'rub', operation: 'wax-off', family, applicator: 'lint-free rag', reason: 'excess-never-hardens' },
  { phase: 'buff', operation: 'buff', family, applicator: 'soft cloth', reason: 'sheen' },
]
export const clearLine = (family: FamilyCode): RecipeLine => ({
  phase: 'seal',
  operation: 'clear-coat',
  times: 'by-use',
  family,
  applicator: 'foam brush',
  reason: 'seal-use',
  between: [smooth320],
})
/** So that thirsty paint does not drink the hard clear. */
const satinFirst: RecipeLine = {
  phase: 'seal',
  operation: 'clear-coat',
  family: 'water-clear',
  film: 'thin',
  sheen: 'satin',
  onlyFor: thirsty,
  applicator: 'foam brush',
  reason: 'thirsty-first',
  optional: true,
}
export const oiled = (family: FamilyCode): readonly RecipeLine[] => [
  { phase: 'seal', operation: 'oil', family, applicator: 'fine pad', reason: 'oil-feeds' },
  { phase: 'rub', operation: 'wipe-oil', family, applicator: 'lint-free rag', reason: 'excess-never-hardens' },
]

export const topcoats = {
  wax: {
    words: 'wax',
    uses: ['display', 'light'],
    coats: {},
    least: {},
    recipe: waxed,
  },
  clear: {
    words: 'water-based clear',
    uses: ['display', 'light', 'heavy', 'heat'],
    coats: { display: 1, light: 2, heavy: 3, heat: 3 },
    least: { display: 1, light: 1, heavy: 2, heat: 2 },
    notOver: oilPaint,
    recipe: [deLint, clearLine('water-clear')],
  },
  hard: {
    words: 'hard exterior clear',
    uses: ['display', 'light', 'heavy', 'heat', 'damp', 'outdoors'],
    coats: { display: 2, light: 2, heavy: 2, heat: 2, damp: 2, outdoors: 2 },
    least: { display: 1, light: 1, heavy: 2, heat: 2, damp: 2, outdoors: 2 },
    notOver: oilPaint,
    recipe: [deLint, satinFirst, clearLine('hard-clear')],
  },
  oil: {
    words: 'drying oil',
    uses: ['display', 'light'],
    coats: {},
    least: {},
    over: thirsty,
    recipe: [deLint, ...oiled('drying-oil')],
  },
  'oil-wax': {
    words: 'oil-wax',
    uses: ['display', 'light'],
    coats: {},
    least: {},
    over: thirsty,
    recipe: [deLint, ...oiled('oil-wax')],
  },
  none: {
    words: 'none: the paint seals itself',
    uses: [],
    coats: {},
    least: {},
    recipe: [],
  },
} as const satisfies Record<string, Topcoat>

export type TopcoatCode = keyof typeof topcoats
export const topcoatCodes = Object.keys(topcoats) as [TopcoatCode, ...TopcoatCode[]]
export function getTopcoat(code: TopcoatCode): Topcoat {
  return topcoats[code]
}

/** What the finish may shine like under a topcoat: as its last coat does, the paint itself where nothing lies over it. */
export const sheensUnder = (code: TopcoatCode, paint: FamilyCode): readonly Sheen[] =>
  sheensOf(getTopcoat(code).recipe.findLast(({ family }) => family !== undefined)?.family ?? paint)

const ownClears = (paint: FamilyCode) => getFamily(paint).ownClears ?? 0
/** How many clears a use asks for over a paint, as usual and at least. */
export const clearsFor = (code: TopcoatCode, use: UseCode, paint: FamilyCode): number =>
  Math.max(1, (getTopcoat(code).coats[use] ?? 2) - ownClears(paint))
export const leastClears = (code: TopcoatCode, use: UseCode, paint: FamilyCode): number | undefined =>
  // what stands alone there is the better for them, and does without
  ownClears(paint) > 0 && topcoatFits('none', use, paint) ? 0 : getTopcoat(code).least[use]

/** Wax stands no heat, standing water or weather, whatever lies below it. */
export const noWax: readonly UseCode[] = ['heat', 'damp', 'outdoors']
/** Whether a topcoat stands up to a use and holds on a paint. */
export const topcoatFits = (code: TopcoatCode, use: UseCode, paint: FamilyCode): boolean => {
  if (code === 'none') return getFamily(paint).alone?.includes(use) ?? false
  const { uses, over, notOver } = getTopcoat(code)
  return uses.includes(use) && (!over || over.includes(paint)) && !notOver?.includes(paint)
}
