/**
 * Looks as recipes: each a list of steps over operations, which the planner puts on a part. Source: the craft.
 * `slot` names the colour a coat takes: A lies under B.
 */
import type { Film } from '../mix/coatVolumes'
import type { OperationCode } from '../labour/operations'
import type { FamilyCode } from './families'

export type Slot = 'a' | 'b'
/** Coats by what the colour asks: pale and clean colours hide badly and take one more. */
export type Times = number | 'by-colour' | 'by-use'

export type ReasonCode =
  | 'cover'
  | 'cover-thin'
  | 'smooth-between'
  | 'last-rub'
  | 'keep-apart'
  | 'wear-to-a'
  | 'wear-to-wood'
  | 'no-dust-under-clear'
  | 'seal-paint'
  | 'seal-use'
  | 'wax-barrier'
  | 'age'
  | 'excess-never-hardens'
  | 'sheen'
  | 'wash-strength'

export interface RecipeLine {
  operation: OperationCode
  times?: Times
  /** paint by slot, or a fixed product family */
  paint?: Slot
  family?: FamilyCode
  /** only with these paint families */
  onlyFor?: readonly FamilyCode[]
  notFor?: readonly FamilyCode[]
  /** between the repeats of this line */
  between?: readonly RecipeLine[]
  film?: Film
  applicator?: string
  mix?: string
  grit?: string
  reason: ReasonCode
}

export interface Look {
  words: string
  tells: string
  slots: readonly Slot[]
  slotWords: Partial<Record<Slot, string>>
  paints: readonly FamilyCode[]
  /** needs the wood laid bare */
  bareWood?: boolean
  /** abrades or cuts into what is there */
  abrades?: boolean
  /** a use it is not made for */
  notForUse: readonly ('heavy' | 'damp')[]
  recipe: readonly RecipeLine[]
  /** how the drawing shows it */
  wear: 'none' | 'edges' | 'through' | 'grain'
}

const smoothing: RecipeLine = { operation: 'smooth', grit: '220', reason: 'smooth-between' }
const wetDistressed: readonly FamilyCode[] = ['clay', 'casein']
const clears: readonly RecipeLine[] = [
  { operation: 'de-lint', reason: 'no-dust-under-clear' },
  {
    operation: 'clear-coat',
    times: 'by-use',
    family: 'water-clear',
    film: 'thin',
    applicator: 'foam brush',
    reason: 'seal-use',
    between: [{ operation: 'smooth', grit: '320', reason: 'smooth-between' }],
  },
]
const finalWax: readonly RecipeLine[] = [
  { operation: 'clear-wax', family: 'clear-wax', film: 'thin', applicator: 'wax brush', reason: 'seal-paint' },
  { operation: 'wax-off', family: 'clear-wax', applicator: 'lint-free rag', reason: 'excess-never-hardens' },
  { operation: 'buff', family: 'clear-wax', applicator: 'soft cloth', reason: 'sheen' },
]
const chalky: readonly FamilyCode[] = ['clay', 'chalk-style', 'chalk-mineral', 'casein', 'home-chalky']

export const looks = {
  'smooth-clear': {
    words: 'Smooth solid, clear coats',
    tells: 'One even colour, rubbed between coats, under clear.',
    slots: ['a'],
    slotWords: { a: 'Colour' },
    paints: ['clay', 'chalk-style', 'chalk-mineral', 'all-in-one', 'latex', 'home-chalky'],
    notForUse: [],
    wear: 'none',
    recipe: [
      { operation: 'coat', times: 'by-colour', paint: 'a', applicator: 'synthetic brush', reason: 'cover', between: [smoothing] },
      { operation: 'smooth', grit: '400–600', reason: 'last-rub' },
      ...clears,
    ],
  },
  'two-colour-distress': {
    words: 'Two-colour distress, clear then dark wax',
    tells: 'One colour under another, worn back where hands wear it, aged with wax.',
    slots: ['a', 'b'],
    slotWords: { a: 'Under-colour', b: 'Top colour' },
    paints: chalky,
    abrades: true,
    notForUse: ['heavy', 'damp'],
    wear: 'edges',
    recipe: [
      { operation: 'coat', times: 1, paint: 'a', applicator: 'bristle brush', reason: 'cover' },
      {
        operation: 'seal-between',
        family: 'water-clear',
        onlyFor: wetDistressed,
        film: 'thin',
        applicator: 'foam brush',
        reason: 'keep-apart',
      },
      { operation: 'coat', times: 'by-colour', paint: 'b', applicator: 'bristle brush', reason: 'cover' },
      { operation: 'wet-distress', onlyFor: wetDistressed, applicator: 'damp cloth', reason: 'wear-to-a' },
      { operation: 'dry-distress', notFor: wetDistressed, grit: '220', applicator: 'abrasive by hand', reason: 'wear-to-a' },
      { operation: 'dust-off', reason: 'no-dust-under-clear' },
      { operation: 'clear-wax', family: 'clear-wax', film: 'thin', applicator: 'wax brush', reason: 'wax-barrier' },
      { operation: 'tinted-wax', family: 'dark-wax', film: 'thin', applicator: 'wax brush, off-loaded on card', reason: 'age' },
      { operation: 'wax-off', family: 'dark-wax', applicator: 'lint-free rag', reason: 'excess-never-hardens' },
      { operation: 'buff', family: 'dark-wax', applicator: 'soft cloth', reason: 'sheen' },
    ],
  },
  'light-distress': {
    words: 'Light distress, clear wax',
    tells: 'One colour, worn to the wood on edges and corners, under wax.',
    slots: ['a'],
    slotWords: { a: 'Colour' },
    paints: chalky,
    abrades: true,
    notForUse: ['heavy', 'damp'],
    wear: 'through',
    recipe: [
      { operation: 'coat', times: 'by-colour', paint: 'a', applicator: 'bristle brush', reason: 'cover' },
      { operation: 'wet-distress', onlyFor: wetDistressed, applicator: 'damp cloth', reason: 'wear-to-wood' },
      { operation: 'dry-distress', notFor: wetDistressed, grit: '220', applicator: 'abrasive by hand', reason: 'wear-to-wood' },
      { operation: 'dust-off', reason: 'no-dust-under-clear' },
      ...finalWax,
    ],
  },
  whitewash: {
    words: 'Whitewash over the grain',
    tells: 'Thinned colour wiped back so that the wood speaks through, under matt clear.',
    slots: ['a'],
    slotWords: { a: 'Wash colour' },
    paints: ['chalk-style', 'chalk-mineral', 'latex'],
    bareWood: true,
    abrades: true,
    notForUse: ['damp'],
    wear: 'grain',
    recipe: [
      {
        operation: 'wash',
        times: 2,
        paint: 'a',
        film: 'thin',
        mix: 'paint : water 1 : 1',
        applicator: 'wide brush and cloths',
        reason: 'wash-strength',
      },
      ...clears,
    ],
  },
} as const satisfies Record<string, Look>

export type LookCode = keyof typeof looks
export const lookCodes = Object.keys(looks) as [LookCode, ...LookCode[]]
export const getLook = (code: LookCode): Look => looks[code]
