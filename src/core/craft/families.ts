/**
 * Product families, never makers: how each dries, spreads and what it needs. Minutes at 21 °C and 50 %, m² per litre
 * (m² per kg for wax). Every figure is a default that the tin's own label corrects. Source: the craft.
 */
import type { ClockKind } from '@/core/drying/air'
import type { Range } from '@/core/drying/windowFor'
import { type UseCode, useCodes } from './parts'

export type FamilyRole = 'paint' | 'primer' | 'clear' | 'wax' | 'cleaner' | 'stripper' | 'oil' | 'medium' | 'resist' | 'stain'
/** What it holds on to by itself: most sound surfaces, only scuffed ones, only keyed (and often primed) ones, bare wood alone. */
export type Grip = 'most' | 'scuffed' | 'keyed' | 'bare'

export interface Family {
  words: string
  role: FamilyRole
  clock: ClockKind
  /** m² per litre or kg, one coat: low and high */
  coverage: Range
  /** what a later coat takes of the first; the craft's usual share unless given */
  laterTake?: number
  touchDry?: Range
  recoat?: Range
  grips?: Grip
  /** water lifts it again after it is dry, until it is sealed: freely for weeks, or slightly */
  rewets?: 'freely' | 'slightly'
  /** `tops`: only where it gets wear */
  needsTopcoat?: boolean | 'tops'
  /** its own finish counts as so many clears, where a use asks for them */
  ownClears?: number
  /** the uses in which it stands without one */
  alone?: readonly UseCode[]
  /** dries to a closed film, which another that wants a key does not grip */
  closed?: true
  /** share of water it may be thinned by; 0 forbids it */
  waterShare?: number
  /** drinks a hard clear: a thin coat first */
  thirsty?: boolean
  /** minutes for which it can be used once it is mixed */
  potLife?: Range
  /** days to full hardness */
  cureDays?: Range
  unit?: 'ml' | 'g'
  /** a wax that carries colour, and stains what is bare */
  tints?: boolean
}

const night = 720

/** Waxes that carry colour. */
const tinting = { role: 'wax', clock: 'reaction', coverage: [60, 80], cureDays: [21, 30], unit: 'g', tints: true } as const

export const families = {
  clay: {
    words: 'clay paint',
    role: 'paint',
    clock: 'evaporation',
    coverage: [10, 13],
    touchDry: [20, 30],
    recoat: [60, 60],
    grips: 'most',
    rewets: 'freely',
    needsTopcoat: true,
    thirsty: true,
    waterShare: 0.2,
    cureDays: [30, 30],
  },
  'chalk-style': {
    words: 'chalk-style paint',
    role: 'paint',
    clock: 'evaporation',
    coverage: [10, 13],
    touchDry: [30, 30],
    recoat: [60, 120],
    grips: 'most',
    rewets: 'slightly',
    needsTopcoat: true,
    thirsty: true,
    waterShare: 0.2,
    cureDays: [21, 30],
  },
  'chalk-mineral': {
    words: 'chalk mineral paint',
    role: 'paint',
    clock: 'evaporation',
    coverage: [10, 13],
    touchDry: [30, 60],
    recoat: [60, 60],
    grips: 'most',
    waterShare: 0.2,
    alone: ['display', 'light'],
    cureDays: [21, 30],
  },
  'all-in-one': {
    words: 'all-in-one mineral paint',
    role: 'paint',
    clock: 'evaporation',
    coverage: [10, 13],
    touchDry: [60, 60],
    recoat: [60, 120],
    closed: true,
    grips: 'scuffed',
    waterShare: 0,
    alone: useCodes,
    ownClears: 1,
    cureDays: [30, 30],
  },
  casein: {
    words: 'casein (milk) paint',
    role: 'paint',
    clock: 'evaporation',
    coverage: [8, 10],
    touchDry: [30, 30],
    recoat: [60, 120],
    grips: 'bare',
    rewets: 'freely',
    needsTopcoat: true,
    thirsty: true,
    potLife: [1440, 2880],
    waterShare: 1,
    cureDays: [30, 30],
  },
  latex: {
    words: 'trim acrylic',
    role: 'paint',
    clock: 'evaporation',
    coverage: [10, 13],
    touchDry: [60, 60],
    recoat: [120, 240],
    closed: true,
    grips: 'keyed',
    needsTopcoat: 'tops',
    waterShare: 0.1,
    alone: ['display', 'light'],
    cureDays: [21, 30],
  },
  'home-chalky': {
    words: 'home-mixed chalky paint',
    role: 'paint',
    clock: 'evaporation',
    coverage: [10, 13],
    touchDry: [30, 60],
    recoat: [120, 120],
    grips: 'most',
    rewets: 'slightly',
    needsTopcoat: true,
    thirsty: true,
    // the same day
    potLife: [480, 720],
    waterShare: 0.1,
    cureDays: [30, 30],
  },
  alkyd: {
    words: 'oil enamel',
    role: 'paint',
    clock: 'reaction',
    coverage: [10, 13],
    touchDry: [360, 480],
    recoat: [960, 1440],
    closed: true,
    grips: 'keyed',
    waterShare: 0,
    alone: useCodes,
    cureDays: [7, 30],
  },
  knotting: { words: 'knotting', role: 'primer', clock: 'reaction', coverage: [10, 12], recoat: [30, 60] },
  'blocking-primer': { words: 'blocking primer', role: 'primer', clock: 'reaction', coverage: [9, 12], recoat: [30, 60] },
  'adhesion-primer': { words: 'adhesion primer', role: 'primer', clock: 'evaporation', coverage: [9, 12], recoat: [180, night] },
  'metal-primer': { words: 'metal primer', role: 'primer', clock: 'reaction', coverage: [8, 11], recoat: [240, night] },
  'water-clear': {
    words: 'water-based clear',
    role: 'clear',
    clock: 'evaporation',
    coverage: [12, 14],
    laterTake: 1,
    recoat: [120, 120],
    cureDays: [21, 30],
  },
  'hard-clear': {
    words: 'hard exterior clear',
    role: 'clear',
    clock: 'evaporation',
    coverage: [12, 14],
    laterTake: 1,
    recoat: [120, 120],
    cureDays: [30, 30],
  },
  'clear-wax': { words: 'clear wax', role: 'wax', clock: 'reaction', coverage: [30, 40], cureDays: [21, 30], unit: 'g' },
  'dark-wax': { words: 'dark wax', ...tinting },
  'black-wax': { words: 'black wax', ...tinting },
  'white-wax': { words: 'white wax', ...tinting },
  'metallic-wax': { words: 'gilding wax', role: 'wax', clock: 'reaction', coverage: [200, 300], cureDays: [21, 30], unit: 'g' },
  'drying-oil': { words: 'drying oil', role: 'oil', clock: 'reaction', coverage: [20, 24], cureDays: [30, 30] },
  'oil-wax': { words: 'oil-wax', role: 'oil', clock: 'reaction', coverage: [24, 30], cureDays: [21, 30] },
  salve: { words: 'salve', role: 'oil', clock: 'reaction', coverage: [30, 40], cureDays: [1, 2], unit: 'g' },
  glaze: {
    words: 'clear glaze',
    role: 'medium',
    clock: 'evaporation',
    coverage: [12, 16],
    touchDry: [60, 120],
    recoat: [60, 120],
  },
  'crackle-medium': { words: 'crackle medium', role: 'medium', clock: 'evaporation', coverage: [8, 10], recoat: [720, 720] },
  stain: {
    words: 'wood stain',
    role: 'stain',
    clock: 'evaporation',
    coverage: [12, 16],
    touchDry: [60, 120],
    recoat: [120, 240],
    cureDays: [21, 30],
  },
  resist: {
    words: 'resist: soap, candle or petroleum jelly',
    role: 'resist',
    clock: 'reaction',
    coverage: [100, 200],
    unit: 'g',
  },
  soap: { words: 'soap and hot water', role: 'cleaner', clock: 'evaporation', coverage: [15, 25] },
  degreaser: { words: 'degreaser', role: 'cleaner', clock: 'evaporation', coverage: [15, 25] },
  spirits: { words: 'mineral spirits', role: 'cleaner', clock: 'reaction', coverage: [10, 20] },
  stripper: { words: 'stripper', role: 'stripper', clock: 'reaction', coverage: [3, 5] },
} as const satisfies Record<string, Family>

export type FamilyCode = keyof typeof families
const [firstFamily, ...otherFamilies] = Object.keys(families) as [FamilyCode, ...FamilyCode[]]
export const familyCodes: [FamilyCode, ...FamilyCode[]] = [firstFamily, ...otherFamilies]
export const getFamily = (code: FamilyCode): Family => families[code]
export const isPaint = (code: FamilyCode): boolean => getFamily(code).role === 'paint'
/** What a look may be painted in. */
export const paintCodes = familyCodes.filter((code) => isPaint(code) || getFamily(code).role === 'stain') as [
  FamilyCode,
  ...FamilyCode[],
]

/** Coverage to reckon with: the careful, low end of the range. */
export const safeCoverage = (code: FamilyCode): number => getFamily(code).coverage[0]
/** Whether it is weighed or measured. */
export const unitOf = (code: FamilyCode): 'ml' | 'g' => getFamily(code).unit ?? 'ml'
