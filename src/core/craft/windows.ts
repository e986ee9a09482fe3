/**
 * The window after a step, found by what was done, with which family, and what comes next. Minutes at the reference
 * climate; the first row that fits counts. Source: the craft, section on windows; `practice` marks what experienced
 * painters expect where that is silent.
 */
import type { ClockKind } from '@/core/drying/air'
import { assistanceSpeed, type Range } from '@/core/drying/windowFor'
import { lchOf } from './colour'
import { type FamilyCode, getFamily } from './families'
import { type HouseMethod, methodAllows, type SchoolsAsked } from './method'
import { getOperation, type OperationCode } from './operations'
import type { SubstrateKind } from './parts'
import { openMinutes } from './ways'

/** What is past doing after the window, in a word the interface explains. */
export type PastCode =
  | 'slower'
  | 'scuff-first'
  | 'wax-again'
  | 'new-wax-softens'
  | 're-apply'
  | 'abrade-instead'
  | 'score-edge'
  | 'rub-fresh-oil'
  | 'no-chips'

export interface StepWindow {
  clock: ClockKind
  /** which figure of a label it is; absent where labels say nothing of it */
  from?: 'recoat' | 'touchDry' | undefined
  opens: Range
  closes?: Range | undefined
  past?: PastCode | undefined
  source: 'craft' | 'label' | 'practice' | 'studio' | 'painter'
}

interface Row {
  after: readonly OperationCode[]
  family?: readonly FamilyCode[]
  before?: readonly OperationCode[]
  /** only over a colour so dark that what is laid on it too soon drags it along */
  dark?: true
  /** only on these materials */
  on?: readonly SubstrateKind[]
  /** only where the house works so */
  school?: SchoolsAsked
  window: Partial<StepWindow>
}

const waxes: readonly FamilyCode[] = ['clear-wax', 'dark-wax', 'black-wax', 'white-wax', 'metallic-wax']
const waterBorne: readonly FamilyCode[] = ['clay', 'chalk-style', 'chalk-mineral', 'all-in-one', 'casein', 'latex', 'home-chalky']
const night = 720
/** A colour as dark as this is drawn into a clear that comes before its time. Practice. */
const darkBelow = 0.45
const wornBack: readonly OperationCode[] = ['wet-distress', 'dry-distress']

export const windowRows: readonly Row[] = [
  { after: ['stand-open'], window: { clock: 'evaporation', opens: openMinutes } },
  // what will be washed off with the stripper needs no rest
  { after: ['rinse'], before: ['strip'], window: {} },
  { after: ['rinse'], on: ['fabric', 'leather'], window: { opens: [night, night] } },
  { after: ['rinse', 'neutralise'], window: { clock: 'evaporation', opens: [120, 240] } },
  { after: ['clean'], before: ['rinse'], window: {} },
  // dissolved wax is wiped while it is wet
  { after: ['dewax'], before: ['wipe-spirits', 'dewax'], window: {} },
  { after: ['dewax', 'wipe-spirits'], window: { clock: 'reaction', opens: [30, 60], source: 'practice' } },
  { after: ['strip'], window: { clock: 'reaction', opens: [10, 15], closes: [30, 45], past: 're-apply' } },
  // clamped over night
  { after: ['glue'], window: { clock: 'reaction', opens: [night, night] } },
  { after: ['fill'], window: { clock: 'reaction', opens: [30, 120] } },
  { after: ['knotting', 'block-prime', 'adhesion-prime'], window: { from: 'recoat' } },
  {
    after: ['texture-coat'],
    before: ['knock-down'],
    window: { opens: [20, 20], closes: [40, 40], past: 'abrade-instead' },
  },
  { after: ['texture-coat', 'knock-down'], window: { clock: 'evaporation', opens: [night, night] } },
  { after: ['crackle-medium'], window: { from: 'recoat' } },
  {
    after: ['coat'],
    family: ['chalk-mineral'],
    before: ['wet-distress'],
    window: { opens: [0, 0], closes: [20, 30], past: 'slower' },
  },
  {
    after: ['coat'],
    family: ['chalk-mineral'],
    before: ['dry-distress', 'scrape-distress'],
    window: { opens: [30, 60], closes: [150, 180], past: 'slower' },
  },
  { after: ['coat'], before: ['scrape-distress'], window: { from: 'touchDry', closes: [150, 180], past: 'slower' } },
  { after: ['coat'], family: ['latex'], before: ['dry-distress'], window: { opens: [night, night] } },
  { after: ['coat'], family: ['alkyd'], before: ['dry-distress'], window: { from: 'recoat' } },
  { after: ['coat'], before: wornBack, window: { from: 'touchDry' } },
  { after: ['coat'], before: ['heat-gun'], window: { opens: [0, 0], closes: [20, 30], past: 'no-chips', source: 'practice' } },
  { after: ['coat', 'heat-gun'], before: ['brush-off-flakes'], window: { clock: 'evaporation', opens: [night, night] } },
  { after: ['coat'], before: ['pull-tape'], window: { opens: [0, 0], closes: [10, 10], past: 'score-edge' } },
  { after: ['tape', 'resist'], window: { clock: 'evaporation', opens: [0, 0] } },
  // worn back while young, the paint still wants the rest of its time before a topcoat
  {
    after: ['dust-off'],
    before: ['clear-wax', 'clear-coat', 'oil', 'salve'],
    window: { clock: 'evaporation', opens: [60, 90], source: 'practice' },
  },
  { after: ['pull-tape'], window: { clock: 'evaporation', opens: [60, 120] } },
  // the two colours of a wet blend are both wet
  { after: ['coat'], before: ['blend'], window: { opens: [0, 0] } },
  { after: ['coat'], before: ['sand'], window: { clock: 'evaporation', opens: [night, night] } },
  { after: ['wet-distress'], window: { clock: 'evaporation', opens: [20, 30] } },
  { after: ['coat'], before: ['wash', 'spray-runs'], window: { opens: [night, night] } },
  // a dark colour that is dry to the touch still gives to a wet brush: after a night it does not
  {
    after: ['coat', 'crackle-coat', 'texture-coat', 'blend'],
    family: waterBorne,
    dark: true,
    before: ['clear-coat'],
    window: { opens: [night, night], source: 'practice' },
  },
  {
    after: ['undercoat', 'coat', 'crackle-coat', 'wash', 'glaze', 'dry-brush', 'spray-runs', 'blend', 'fabric-coat'],
    window: { from: 'recoat' },
  },
  {
    after: ['seal-between', 'clear-coat'],
    before: ['clear-coat', 'coat', 'seal-between', 'tape', 'resist'],
    window: { from: 'recoat', closes: [1440, 1440], past: 'scuff-first' },
  },
  // a solvent wax on a young acrylic clear bites it
  { after: ['clear-coat', 'seal-between'], before: ['clear-wax', 'tinted-wax'], window: { opens: [night, night] } },
  { after: ['seal-between', 'clear-coat'], window: { from: 'recoat' } },
  { after: ['clear-wax'], on: ['leather'], before: ['wax-off'], window: { clock: 'reaction', opens: [night, 1440] } },
  {
    after: ['clear-wax'],
    before: ['tinted-wax'],
    window: { clock: 'reaction', opens: [15, 20], closes: [480, 600], past: 'wax-again' },
  },
  {
    after: ['clear-wax', 'tinted-wax'],
    before: ['wax-off'],
    window: { clock: 'reaction', opens: [20, 30], closes: [60, 60], past: 'new-wax-softens' },
  },
  {
    after: ['wax-off'],
    family: ['dark-wax', 'black-wax', 'white-wax'],
    before: ['buff'],
    window: { clock: 'reaction', opens: [40, 40] },
  },
  { after: ['metallic-wax'], before: ['buff'], window: { clock: 'reaction', opens: [40, 40], source: 'practice' } },
  // it rested before it was taken off
  { after: ['wax-off'], on: ['leather'], before: ['buff'], window: { clock: 'reaction', opens: [0, 0] } },
  { after: ['wax-off'], before: ['buff'], school: { waxRest: ['hour'] }, window: { clock: 'reaction', opens: [0, 0] } },
  { after: ['wax-off'], before: ['buff'], window: { clock: 'reaction', opens: [night, 1440] } },
  { after: ['buff'], before: ['metallic-wax'], window: {} },
  // it shows prints: an hour, and again
  { after: ['buff'], before: ['buff'], window: { clock: 'reaction', opens: [60, 60] } },
  { after: ['buff'], window: { clock: 'reaction', opens: [1440, 1440] } },
  {
    after: ['oil'],
    family: ['oil-wax'],
    before: ['wipe-oil'],
    window: { opens: [10, 10], closes: [20, 30], past: 'rub-fresh-oil' },
  },
  { after: ['oil'], before: ['wipe-oil'], window: { opens: [5, 10], closes: [20, 30], past: 'rub-fresh-oil' } },
  { after: ['wipe-oil'], window: { clock: 'reaction', opens: [1440, 1440], source: 'practice' } },
]

/** What a window depends on beside the two steps. */
export interface WindowAround {
  kind: SubstrateKind
  method: HouseMethod
}

/** What was done, as far as its window depends on it. */
export interface StepDone {
  operation: OperationCode
  family: FamilyCode | null
  colour?: { hex: string } | null
}

/** The window after a step, or null where the next may follow at once. */
export function findStepWindow(
  { operation: after, family, colour }: StepDone,
  before: OperationCode | null,
  around: WindowAround,
): StepWindow | null {
  // poured out while what is below still dries
  if (before === 'stand-open') return null
  const fits = (row: Row) =>
    row.after.includes(after) &&
    (!row.family || (family !== null && row.family.includes(family))) &&
    (!row.before || (before !== null && row.before.includes(before))) &&
    (!row.dark || (colour !== null && colour !== undefined && lchOf(colour.hex).lightness < darkBelow)) &&
    (!row.on || row.on.includes(around.kind)) &&
    methodAllows(row.school, around.method)
  const row = windowRows.find(fits)
  if (!row) return null
  const known = family === null ? null : getFamily(family)
  const { from, clock, opens = from && known?.[from], closes, past, source = 'craft' } = row.window
  if (!opens) return null
  return { clock: clock ?? known?.clock ?? 'evaporation', opens, closes, past, source, ...(from && { from }) }
}

/** Moved air dries these unevenly, or tears them. */
const stillAir: readonly OperationCode[] = ['crackle-medium', 'crackle-coat', 'texture-coat', 'knock-down']
/** The window as it is planned: where the house dries with a fan, what gives off water is ready sooner and closes sooner. */
export function findPlannedWindow(...asked: Parameters<typeof findStepWindow>): StepWindow | null {
  const window = findStepWindow(...asked)
  const [{ operation, family }, , { method }] = asked
  const fanned = method.drying === 'fan' && family !== null && window?.clock === 'evaporation' && !stillAir.includes(operation)
  if (!window || !fanned || getOperation(operation).layer === undefined) return window
  const sooner = ([low, high]: Range): Range => [Math.round(low / assistanceSpeed.fan), Math.round(high / assistanceSpeed.fan)]
  return { ...window, opens: sooner(window.opens), ...(window.closes && { closes: sooner(window.closes) }) }
}

const dayMinutes = 1440

/** Cure is the coat's own; what has none, a primer on top, counts as a clear. */
export const curingFamily = (family: FamilyCode | null): FamilyCode =>
  family !== null && getFamily(family).cureDays ? family : 'water-clear'

/**
 * When a last coat may be handled, and used in full: after the house's days (21 or 30), never before the coat's own. Neither is
 * shortened by a thin film.
 */
export function curingOf(
  family: FamilyCode,
  houseDays: number,
  [low, high]: Range = getFamily(family).cureDays ?? [21, 30],
): { handle: StepWindow; use: StepWindow } {
  const days = Math.max(houseDays, houseDays >= high ? high : low)
  return {
    handle: { clock: waxes.includes(family) ? 'reaction' : 'evaporation', opens: [dayMinutes, dayMinutes], source: 'craft' },
    use: { clock: 'cure', opens: [days * dayMinutes, days * dayMinutes], source: 'craft' },
  }
}
